import { Type } from '@sinclair/typebox';
import { checker } from './ajv';
import { Command, CommandRequest, NewJobRequest } from './commands';
import { ShopRequest } from './shop';
import * as compute from './compute';

const pointers = (answer: ReturnType<ReturnType<typeof checker>>) =>
  answer.ok ? [] : answer.errors.map(({ pointer, detail }) => `${pointer} ${detail}`);

describe('what a check says', () => {
  const check = checker(
    Type.Object(
      {
        name: Type.String({ minLength: 1 }),
        hand: Type.Unsafe<string>({ type: 'string', enum: ['right', 'left'] }),
        list: Type.Array(Type.Number({ minimum: 0 })),
      },
      { additionalProperties: false },
    ),
  );
  const good = { name: 'x', hand: 'right', list: [1] };

  test('what is right comes through as it was', () => {
    expect(check(good)).toEqual({ ok: true, value: good });
  });
  test.each([
    [{ ...good, name: undefined }, '/name is missing'],
    [{ ...good, extra: 1 }, '/extra is not a field known here'],
    [{ ...good, hand: 'both' }, '/hand must be one of right, left'],
    [{ ...good, list: [1, -1] }, '/list/1 must be >= 0'],
    [{ ...good, list: 'many' }, '/list must be array'],
    [null, ' must be object'],
  ])('%j: %s', (input, said) => expect(pointers(check(input))).toContain(said));
  test('everything that is wrong is said at once, nothing twice', () => {
    const said = pointers(check({ name: '', hand: 'both', list: [-1, -2], extra: 1 }));
    expect(said).toHaveLength(5);
    expect(new Set(said).size).toBe(5);
  });
});

describe('commands', () => {
  const check = checker(Command);
  test.each([
    { name: 'undo' },
    { name: 'setAnswers', archer: { name: 'Runa' } },
    { name: 'setAnswers', job: { promisedDay: '2026-12-04', budgetCents: null, loopCounts: true } },
    { name: 'takeReadings', readings: [{ key: 'armSpan', entered: '68' }] },
    { name: 'takeReadings', readings: [{ key: 'paperTear', entered: '1', entered2: '2' }] },
    { name: 'takeGroup', distance: '18 m', hits: [{ rightMm: 1, upMm: 2 }] },
    { name: 'chooseBow', bowId: null },
    { name: 'chooseBow', bowId: 'x', reason: 'so' },
    { name: 'setGoal', goal: 'peakWeight', entered: null, reason: '' },
    { name: 'choosePart', slot: 'rest', itemId: null, owned: true, label: 'own' },
    { name: 'signStep', stepId: 'paper', reason: 'windy' },
    { name: 'acknowledge', cautionId: 'dryFire', yes: true },
    { name: 'handOver', openReason: '' },
  ])('%j is one', (command) => expect(check(command).ok).toBe(true));
  test.each([
    { name: 'takeReadings', readings: [] },
    {
      name: 'takeReadings',
      readings: Array.from({ length: 11 }, () => ({ key: 'a', entered: '1' })),
    },
    { name: 'takeReadings', readings: [{ key: 'armSpan', entered: 'x'.repeat(41) }] },
    { name: 'takeGroup', distance: '18', hits: [{ rightMm: 4000, upMm: 0 }] },
    { name: 'setAnswers', job: { promisedDay: '0026-12-04' } },
    { name: 'setAnswers', job: { promisedDay: '2026-02-30' } },
    { name: 'setAnswers', job: { budgetCents: 1.5 } },
    { name: 'setAnswers', job: { furthestM: 151 } },
    { name: 'setAnswers', archer: { name: ' ' } },
    { name: 'setGoal', goal: 'brace', entered: '7', reason: 'x' },
    { name: 'choosePart', slot: 'hat', itemId: null, owned: true, label: '' },
    { name: 'signStep', stepId: 'paper', reason: '  ' },
    { name: 'acknowledge', cautionId: 'dryFire', yes: 'yes' },
  ])('%j is none', (command) => expect(check(command).ok).toBe(false));
  test('a request carries version and name', () => {
    const request = checker(CommandRequest);
    expect(request({ version: 1, who: 'T', command: { name: 'undo' } }).ok).toBe(true);
    expect(request({ version: 0, who: 'T', command: { name: 'undo' } }).ok).toBe(false);
    expect(request({ version: 1, who: '', command: { name: 'undo' } }).ok).toBe(false);
    expect(request({ who: 'T', command: { name: 'undo' } }).ok).toBe(false);
  });
  test('a new job and a shop', () => {
    expect(checker(NewJobRequest)({ who: 'T', archer: { name: 'x' }, job: {} }).ok).toBe(true);
    expect(checker(NewJobRequest)({ who: 'T', archer: { name: 'x' } }).ok).toBe(false);
    expect(checker(ShopRequest)({ name: 'x' }).ok).toBe(false);
  });
});

test('every request of the compute interface names its fields with their units', () => {
  const unit = /(Mm|M|N|Nmm|G|GPerMm|Mps|Mrad|Deg|In|KgM3|KgMm2|Hpa|C|S|J|Pct)$/;
  const plain =
    /^(readings|method|loopCounts|moduleStepsMm|maxTurns|turns|bow|setting|letOff|character|stringItems|dragCoefficient|air|humidity|clearance|hits|steps|id|station|archer|needs|start|changeCost|archerCallCost|trials|outcome|points|bowIds|speedCounts|marks|aspect|first|second|better|speedMps|camSystem|moves|twists|vaneCount|slots|name|required|items|priceCents|worth|conflicts|budgetCents|alternatives|shots|fitDrag|hand|school|history|kind|adjustment|amount|parts|at|from|to|hangs|behind|tip|tipHow|pitch|pitchHow|bare|centre|front|rear|mounts|bars|weights|most|samples|a|b|hopedPart)$/;
  const names = (schema: unknown): string[] => {
    const { properties = {}, items } = schema as { properties?: object; items?: unknown };
    return [
      ...Object.entries(properties).flatMap(([name, inner]) => [name, ...names(inner)]),
      ...(items ? names(items) : []),
    ];
  };
  for (const [schemaName, schema] of Object.entries(compute)) {
    if (!schemaName.endsWith('Request')) continue;
    for (const name of names(schema))
      expect([name, unit.test(name) || plain.test(name)]).toEqual([name, true]);
  }
});
