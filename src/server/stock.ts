import { pieceCents, type BowOffer, type BowRecord, type LoggedCurve } from '@/core/bow';
import { type AnyPart, type CatalogueItem } from '@/core/kit';
import { piecesInShop, reservedBows, type PieceSeen } from '@/data/bow-pieces';
import { db, type Db } from '@/data/db';
import { newestCurves } from '@/data/curves';
import { reservedByOthers } from '@/data/reservations';
import * as stock from '@/data/stock';

/** The shop's bows as this job sees them: what others have put aside does not stand there for it. */
export function bowsFor(jobId: string, from: Db = db()): BowOffer[] {
  const reserved = reservedBows(from, jobId);
  const pieces = piecesInShop(from);
  return stock.allBows(from).flatMap((bow): BowOffer[] => {
    const own = pieces.filter(({ bowId }) => bowId === bow.id);
    const free = Math.max(0, bow.stock - (reserved.get(bow.id) ?? 0));
    const taken = (piece: PieceSeen) => piece.jobId !== null && piece.jobId !== jobId;
    const serials = own.flatMap((piece) =>
      piece.condition === 'new' && !taken(piece) ? [piece.serial] : [],
    );
    const single = own.filter(({ condition }) => condition !== 'new');
    return [
      { bow: { ...bow, stock: free }, piece: null, heldBy: null, serials },
      ...single.map((piece) => ({
        bow: { ...bow, priceCents: pieceCents(bow, piece), stock: taken(piece) ? 0 : 1 },
        piece,
        heldBy: taken(piece) ? piece.ticket : null,
        serials: [],
      })),
    ];
  });
}

export const allBows = (): BowRecord[] => stock.allBows(db());
export const loggedCurves = (): LoggedCurve[] => newestCurves(db());
/** Parts of arrows as this job sees them. */
export const arrowComponents = (jobId: string, from: Db = db()): AnyPart[] =>
  freeOf(stock.arrowAssortment(from), jobId, from);

const freeOf = <P extends AnyPart>(parts: readonly P[], jobId: string, from: Db): P[] => {
  const reserved = reservedByOthers(from, jobId);
  return parts.map((part) => ({
    ...part,
    stock: Math.max(0, part.stock - (reserved.get(part.id) ?? 0)),
  }));
};

/** The shop's parts as this job sees them: what others have put aside does not lie there for it. */
export const itemsFor = (jobId: string, from: Db = db()): CatalogueItem[] =>
  freeOf(stock.assortment(from), jobId, from);
