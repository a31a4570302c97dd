import { arrowGround, derive } from '@/core/job';
import { arrowParts, arrowsItem, builtArrow, objections, partName } from '@/core/kit';
import { addDays } from '@/core/units';
import { jobById, putPart, updateJob } from '@/data/jobs';
import { partById } from '@/data/stock';
import { shopDay } from '../clock';
import { storedPart } from './choose';
import { cannot, type Handlers } from './types';

/** Arrows built here: the builds compared, the one taken, the set on the scale. */
export const ARROWS = {
  setArrows({ name: _name, ...changes }, { db, snapshot }) {
    const { arrows } = snapshot.job;
    updateJob(db, { ...jobById(db, snapshot.job.id)!, arrows: { ...arrows, ...changes } });
    const what = changes.massesG ? 'weighed' : changes.builds ? 'build changed' : 'rest moved';
    return { summary: `Arrows: ${what}`, inverse: { do: 'restore', job: { arrows } } };
  },

  takeArrows({ build }, { db, snapshot }) {
    const choice = snapshot.job.arrows.builds[build];
    if (!choice) throw cannot('no-build', 'There is no such build any more.', '/command/build');
    const parts = arrowParts(choice, (id) => partById(db, id));
    if (!parts) throw cannot('part-gone', 'A part of this build is not in the catalogue any more.');
    const derived = derive(snapshot);
    const built = builtArrow(choice, parts, arrowGround(snapshot, derived));
    if (!built.ok) throw cannot(built.reason, built.message, '/command/build');
    const item = arrowsItem(choice, parts)!;
    const against = objections(item, derived.kitContext).find(({ rule }) => rule.hard);
    if (against)
      throw cannot(
        against.rule.id,
        `These arrows do not fit: ${against.reason}.`,
        '/command/build',
      );
    const row = storedPart(db, snapshot.job.id, 'arrows');
    const today = shopDay(snapshot.shop.timeZone);
    putPart(db, snapshot.job.id, 'arrows', {
      jobId: snapshot.job.id,
      slot: 'arrows',
      itemId: null,
      owned: false,
      label: partName(item),
      priceCents: item.priceCents,
      arrivesDay: item.stock > 0 ? null : addDays(today, item.deliveryDays),
      orderedAt: null,
      arrivedAt: null,
      build: choice,
    });
    return {
      summary: `Kit: ${partName(item)}, ${choice.count} built`,
      inverse: { do: 'restore', part: { slot: 'arrows', row } },
    };
  },
} satisfies Partial<Handlers>;
