import type { Page } from 'puppeteer-core';
import {
  addedTo,
  derive,
  HANDOVER_CAUTIONS,
  limbBoltAdvice,
  type JobDerived,
  type JobSnapshot,
} from '@/core/job';
import { isFinished } from '@/core/route';
import { setupValue, targetOf, type SetupKey } from '@/core/setup';
import { toQuarterTurns } from '@/core/fit';
import { find, type Hands, pageText, reads, settled, until, visit } from './hands';
import type { TestShop } from './shop';

/** Readings without a target of their own: what a tape and the archer's eye would say. */
const FREE: Partial<Record<SetupKey, string>> = {
  foundModule: '29',
  foundTurns: '0',
  tubeLength: '150 mm',
  sightBase: '2',
  housingHeight: '6 mm',
  housingWindage: '0 mm',
  peepTrueHeight: '118 mm',
  peepToPin: '29 1/2',
};

/** A whole job, from the name to the sheet. The same for fingers and for the keyboard. */
export class Journey {
  jobId = '';
  /** Stations worked at on the bench, one for each value taken. */
  readonly worked: string[] = [];
  constructor(
    private readonly shop: TestShop,
    private readonly page: Page,
    private readonly hands: Hands,
  ) {}

  snapshot = (): Promise<JobSnapshot> => this.shop.snapshot(this.jobId);
  private derived = async () => derive(await this.snapshot());

  async meet(name: string): Promise<void> {
    const { page, hands } = this;
    await visit(page, this.shop.url);
    await hands.press('aria/New job n[role="button"]');
    await hands.fill('The archer’s name', name);
    await hands.press('aria/Open the job[role="button"]');
    await until(page, () => location.pathname.endsWith('/meet'));
    this.jobId = /jobs\/([^/]+)/.exec(page.url())![1]!;
    await hands.press('aria/All at once[role="button"]');
    await hands.fill('Phone', '0151 555 0199');
    await settled(page);
    await hands.press('[aria-labelledby] button[value="right"]:not([aria-pressed="true"])');
    await settled(page);
    await hands.press('button[value="some"]');
    await hands.fill('Furthest distance', '40 m');
    await hands.fill('Budget for everything', '2100');
    await this.date('promised', '12102026');
    await reads(page, 'all in', '[data-part="rail"] a:nth-child(1)');
  }

  /** A date field takes its digits one after another, whoever types them. */
  private async date(id: string, digits: string): Promise<void> {
    const field = await find(this.page, `#${id}`);
    await field.focus();
    await this.page.keyboard.type(digits);
    await field.evaluate((node) => node.blur());
    await settled(this.page);
  }

  async fit(): Promise<void> {
    const { page, hands } = this;
    await hands.stage(2);
    await hands.number('Arm span', '69');
    await hands.number('Wall to mouth', '27 3/4');
    await reads(page, '2 methods agree', '[data-part="parts-aside"]');
    await hands.press('[data-part="parts"] a[href*="part=weight"]');
    for (const [weight, outcome] of [
      ['40', 'Smooth'],
      ['45', 'Smooth'],
      ['50', 'Strained'],
    ] as const) {
      await hands.numberOnly('Weight of the trial bow', weight);
      await hands.press(`aria/${outcome}[role="button"]`);
      await reads(page, `${weight} lb`, '[data-part="trial-rows"]');
    }
    await reads(page, 'all in', '[data-part="rail"] a:nth-child(2)');
  }

  async bow(): Promise<void> {
    const { page, hands } = this;
    await hands.stage(3);
    await hands.press('aria/Take this bow: Sundhav Fjordling 31[role="button"]');
    await hands.press('[aria-label="Top cam"] [data-wanted="yes"]');
    await settled(page);
    await hands.press('[aria-label="Bottom cam"] [data-wanted="yes"]');
    await settled(page);
    await hands.press('[data-part="parts"] a[href*="part=bolts"]');
    await hands.number('Peak weight on the scale', '60.5');
    for (let i = 0; i < 5; i++) {
      const snapshot = await this.snapshot();
      const derived = derive(snapshot);
      const advice = limbBoltAdvice(snapshot, derived)!;
      if (!advice.ok) throw new Error(advice.message);
      if ((await pageText(page, 'main')).includes('Nothing to turn')) break;
      // The field already stands at the plan's turns; the bow answers 2.6 lb a turn.
      const turns = toQuarterTurns(advice.turns);
      await hands.number('Peak weight on the scale', (60.5 - 2.6 * turns).toFixed(1));
    }
    await reads(page, 'On target');
    await reads(page, 'all in', '[data-part="rail"] a:nth-child(3)');
  }

  async kit(): Promise<void> {
    const { page, hands } = this;
    await hands.stage(4);
    const take = async (slot: string, item: string) => {
      await hands.press(`[data-part="slots"] a[href$="slot=${slot}"]`);
      await hands.press(`aria/Take: ${item}[role="button"]`);
      await reads(page, item, '[data-part="slots"]');
    };
    await take('rest', 'Rohrdommel Kiebitz');
    await hands.press('[data-part="slots"] a[href$="slot=sight"]');
    await reads(page, 'does not fit', '[data-part="slot-items"]');
    await take('sight', 'Lumen & Lot Einton');
    await take('peep', 'Auge & Faden Rund 3/16');
    await take('loop', 'Auge & Faden Schlinge');
    await take('arrows', 'Schilf Halm .500');
    await hands.press('[data-part="slots"] a[href$="slot=release"]');
    await reads(page, 'Release', '[data-part="slot-head"]');
    await hands.press('aria/Brought along[role="button"]');
    await hands.fill('What they bring along', 'her own thumb release');
    await hands.press('aria/Use their own[role="button"]');
    await reads(page, 'her own thumb release', '[data-part="slots"]');
    await reads(page, 'all in', '[data-part="rail"] a:nth-child(4)');
  }

  private async valueFor(key: SetupKey, derived?: JobDerived): Promise<string> {
    // A number is of one bow: that of the ticket is this one's.
    if (key === 'serialNumber') return `SF 31-${(await this.snapshot()).job.number}`;
    const free = FREE[key];
    if (free) return free;
    const target = targetOf(key, (derived ?? (await this.derived())).context);
    if (!target) throw new Error(`No target and no reading for ${key}`);
    const { kind } = setupValue(key);
    // Read as it is; what is added to it comes at the field.
    if (kind === 'length') return `${(target.si - addedTo(key)).toFixed(1)} mm`;
    if (kind === 'force') return `${target.si.toFixed(0)} N`;
    if (kind === 'mass') return `${target.si.toFixed(2)} g`;
    if (kind === 'speed') return `${target.si.toFixed(1)} m/s`;
    return String(target.si);
  }

  /** Whatever the bench asks for next, until it asks for nothing. */
  async bench(): Promise<void> {
    const { page, hands } = this;
    await hands.stage(5);
    for (let i = 0; i < 90; i++) {
      if ((await pageText(page, 'main')).includes('The bench is done')) break;
      const title = await page.$eval('[data-part="step-title"]', (node) => node.textContent!);
      const derived = await this.derived();
      const step = derived.plan.steps.find((s) => s.template.title === title)!;
      const value = step.values.find((v) => !v.reading || v.stale || v.standing === 'out');
      if (!value) {
        await hands.onward();
        // From the last step it goes on to the lane.
        await until(
          page,
          (before) => {
            const now = document.querySelector('[data-part="step-title"]')?.textContent;
            return location.pathname.endsWith('/lane') || (now && now !== before);
          },
          {},
          title,
        );
        if (page.url().includes('/lane')) break;
      } else if (setupValue(value.key).kind === 'check') {
        this.worked.push(step.template.station);
        await hands.press('[data-part="tick"]');
        await this.taken(value.key);
      } else if (setupValue(value.key).kind === 'choice') {
        this.worked.push(step.template.station);
        await hands.press('[data-part="choice-answers"] button:first-of-type');
        await this.taken(value.key);
      } else {
        this.worked.push(step.template.station);
        await hands.number(setupValue(value.key).name, await this.valueFor(value.key, derived));
        await this.taken(value.key);
      }
    }
    await this.weighAgain();
    const left = (await this.derived()).plan.steps.filter(
      (step) => step.template.stage === 'bench' && !isFinished(step),
    );
    expect(left.map((step) => step.id)).toEqual([]);
  }

  /** The first twists move the weight: it is weighed again where the bolts stand. */
  private async weighAgain(): Promise<void> {
    const { page, hands } = this;
    const { plan, history } = await this.derived();
    if (!plan.stale.some(({ key }) => key === 'peakWeight')) return;
    await hands.stage(3);
    await hands.press('[data-part="parts"] a[href*="part=bolts"]');
    await reads(page, 'Turning plan');
    await hands.number(
      'Peak weight on the scale',
      `${history.get('peakWeight')!.at(-1)!.si!.toFixed(1)} N`,
    );
    await reads(page, 'all in', '[data-part="rail"] a:nth-child(3)');
  }

  private async taken(key: SetupKey): Promise<void> {
    await settled(this.page);
    const taken = async () => (await this.snapshot()).readings.map((reading) => reading.key);
    let keys = await taken();
    // On a busy machine a save is seen a moment later.
    for (let i = 0; i < 100 && !keys.includes(key); i++) {
      await new Promise((resolve) => setTimeout(resolve, 300));
      keys = await taken();
    }
    expect(keys).toContain(key);
  }

  /** The tape, or the pins: what the sight brings along after the first distance. */
  async sight(): Promise<void> {
    const { page, hands } = this;
    await hands.press('[data-part="parts"] a[href*="part=sight"]');
    await hands.press('[data-part="tick"]');
    await settled(page);
    await reads(page, 'all in', '[data-part="rail"] a:nth-child(6)');
  }

  async handOver(): Promise<void> {
    const { page, hands } = this;
    await hands.stage(8);
    await hands.press('[data-part="tick"]');
    await settled(page);
    for (const { id } of HANDOVER_CAUTIONS) {
      await hands.press(`#caution-${id}`);
      await settled(page);
    }
    await reads(page, 'Everything is done', '[data-part="head"]');
    await hands.press('aria/Make the build sheet[role="button"]');
    await reads(page, 'Revision 1', '[data-part="sheet-rows"]');
    await hands.press('[data-part="sheet-rows"] a[href*="/sheet/"]');
    await page.waitForSelector('[data-part="sheet"]');
  }
}
