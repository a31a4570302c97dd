import { arrowGround, derive } from '@/core/job';
import {
  arrowParts,
  arrowsItem,
  builtArrow,
  neededForBuild,
  objections,
  partName,
} from '@/core/kit';
import { jobById, updateJob } from '@/data/jobs';
import { partById } from '@/data/stock';
import { putHeld } from './hold';
import { partShelf, takeFrom } from './shelf';
import { ofStage, cannot, type Handlers } from './types';

/** Arrows built here: the builds compared, the one taken, the set on the scale. */
export const ARROWS = ofStage('kit', {
  setArrows({ name: _name, ...changes }, { db, snapshot }) {
    const { arrows } = snapshot.job;
    updateJob(db, { ...jobById(db, snapshot.job.id)!, arrows: { ...arrows, ...changes } });
    const what = changes.massesG ? 'weighed' : changes.builds ? 'build changed' : 'rest moved';
    return { summary: `Arrows: ${what}`, inverse: { do: 'restore', job: { arrows } } };
  },

  takeArrows({ build, ordered }, work) {
    const { db, snapshot } = work;
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
    const row = putHeld(
      work,
      'arrows',
      {
        jobId: snapshot.job.id,
        slot: 'arrows',
        itemId: null,
        owned: false,
        label: partName(item),
        priceCents: item.priceCents,
        build: choice,
        ...takeFrom(partShelf(db, snapshot), neededForBuild(choice)),
      },
      ordered,
    );
    return {
      summary: `Kit: ${partName(item)}, ${choice.count} built`,
      inverse: { do: 'restore', part: { slot: 'arrows', row } },
    };
  },
} satisfies Partial<Handlers>);
