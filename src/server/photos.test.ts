import sharp from 'sharp';
import { sheetDocument as kept } from '@/data/sheets';
import {
  derive,
  HANDOVER_CAUTIONS,
  MOST_ON_RECORD,
  MOST_PHOTOS,
  type JobSnapshot,
} from '@/core/job';
import { sheetPages, type SheetDocument } from '@/core/sheet';
import { aBow } from '@/core/testing/fixtures';
import type { Db } from '@/data/db';
import { forgetPhotos, photoById, photoMapping } from '@/data/photos';
import { insertBow } from '@/data/stock';
import { pretendNow } from './clock';
import { createJob, runCommand } from './commands';
import { loadSnapshot } from './load-snapshot';
import { sheetPdf } from './pdf/sheet-pdf';
import { handInPhoto, mayTakePhoto, photoPicture, recordPictures, withRoom } from './photos';
import { keptPicture } from './pictures';
import { problemOf } from './testing/problem-of';
import { newDb } from './testing/new-db';

/** A picture with a dark upper left corner, as a camera that was held upright writes it: lying, with a note. */
const photograph = (width = 2400, height = 1200) =>
  sharp({ create: { width, height, channels: 3, background: '#e8e0d0' } })
    .composite([
      {
        input: {
          create: { width: width / 4, height: height / 4, channels: 3, background: '#101010' },
        },
        left: 0,
        top: 0,
      },
    ])
    .jpeg()
    .withMetadata({
      orientation: 6,
      exif: {
        IFD0: { Make: 'A camera', Model: 'Nine' },
        IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '54/1 0/1 0/1' },
      },
    })
    .toBuffer();

const darkAt = async (bytes: Uint8Array, left: number, top: number) => {
  const { data } = await sharp(bytes)
    .extract({ left, top, width: 4, height: 4 })
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return data[0]! < 60;
};

describe('a picture as it is kept', () => {
  test('turned upright, at most 1,600 px, without place and device', async () => {
    const bytes = await photograph();
    expect((await sharp(bytes).metadata()).exif).toBeDefined();
    const { large, small, width, height } = await keptPicture(bytes);
    // Orientation 6: what was written lying stands; its upper left corner is the upper right one now.
    expect([width, height]).toEqual([800, 1600]);
    expect(await darkAt(large, 780, 20)).toBe(true);
    expect(await darkAt(large, 20, 20)).toBe(false);
    const { exif, icc, xmp, orientation, format } = await sharp(large).metadata();
    expect({ exif, icc, xmp, orientation, format }).toEqual({
      exif: undefined,
      icc: undefined,
      xmp: undefined,
      orientation: undefined,
      format: 'jpeg',
    });
    expect(Buffer.from(large).includes('A camera')).toBe(false);
    const of = await sharp(small).metadata();
    expect(Math.max(of.width, of.height)).toBe(320);
  });
  test('a small one is not made larger, one with transparent places stands on white', async () => {
    const png = await sharp({
      create: { width: 40, height: 20, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } },
    })
      .png()
      .toBuffer();
    const { large, width, height } = await keptPicture(png);
    expect([width, height]).toEqual([40, 20]);
    expect(await darkAt(large, 10, 10)).toBe(false);
  });
  test.each([
    ['nothing', Buffer.alloc(0)],
    ['words', Buffer.from('this is a .jpg, really')],
    ['a program', Buffer.from('MZ\u0090\u0000 and so on'.repeat(50))],
    ['a page', Buffer.from('<html><script>alert(1)</script></html>')],
    [
      'a drawing that could ask for other files',
      Buffer.from(
        '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><image href="file:///etc/hosts"/></svg>',
      ),
    ],
    ['an archive', Buffer.from('PK\u0003\u0004'.padEnd(400, '.'))],
  ])('%s is refused with why', async (_, bytes) => {
    await expect(keptPicture(bytes)).rejects.toMatchObject({ status: 422, reason: 'no-picture' });
  });
  test('half a picture is refused, and one that unfolds to more than any camera makes', async () => {
    const whole = await photograph();
    await expect(keptPicture(whole.subarray(0, whole.length / 3))).rejects.toMatchObject({
      reason: 'no-picture',
    });
    const vast = await sharp({
      create: { width: 16_000, height: 9000, channels: 3, background: '#fff' },
    })
      .png({ compressionLevel: 9 })
      .toBuffer();
    expect(vast.length).toBeLessThan(3_000_000);
    await expect(keptPicture(vast)).rejects.toMatchObject({ reason: 'no-picture' });
  });
});

describe('photographs of a job', () => {
  let db: Db;
  let job: JobSnapshot;
  beforeEach(() => {
    pretendNow(new Date('2026-11-24T09:00:00Z'));
    db = newDb();
    insertBow(db, aBow());
    job = createJob({ who: 'T', archer: { name: 'Runa' }, job: {} }, db);
  });
  afterEach(() => {
    db.close();
    pretendNow(null);
  });
  const send = (command: object): JobSnapshot =>
    runCommand(
      job.job.id,
      { version: loadSnapshot(job.job.id, db)!.job.version, who: 'T', command },
      db,
    );
  const picture = { large: Buffer.from('large'), small: Buffer.from('small'), width: 8, height: 6 };
  const hand = (about = 'bow') =>
    handInPhoto(job.job.id, mayTakePhoto(job.job.id, about, db), picture, db).photo;
  const keep = (about = 'bow', words = '') => {
    const photo = hand(about);
    send({ name: 'keepPhoto', photo, words });
    return photo;
  };
  const photos = () => loadSnapshot(job.job.id, db)!.photos;

  test('handed in it is none of the job’s; kept it is, and undone and done again', () => {
    const photo = hand('step:nockHeight');
    expect(photos()).toEqual([]);
    expect(send({ name: 'keepPhoto', photo, words: ' the nock ' }).photos).toMatchObject([
      { id: photo, about: 'step:nockHeight', words: 'the nock', onRecord: false, who: 'T' },
    ]);
    expect(String(photoPicture(job.job.id, String(photo), 'small', db))).toBe('small');
    expect(send({ name: 'undo' }).photos).toEqual([]);
    expect(send({ name: 'redo' }).photos).toHaveLength(1);
  });
  test('every field comes back as it was kept, none of them at its usual', () => {
    const photo = keep('value:peepHeight', 'how it stands');
    send({ name: 'describePhoto', photo, words: 'how it stands', onRecord: true });
    const row = photoById(db, job.job.id, photo)!;
    expect(photoMapping.fromRow(photoMapping.toRow(row))).toEqual(row);
    expect(row).toMatchObject({ about: 'value:peepHeight', onRecord: true, kept: true, width: 8 });
  });
  test('taken out it can be brought again; what was said of it too', () => {
    const photo = keep();
    send({ name: 'describePhoto', photo, words: 'first', onRecord: true });
    send({ name: 'describePhoto', photo, words: 'second', onRecord: false });
    expect(send({ name: 'undo' }).photos).toMatchObject([{ words: 'first', onRecord: true }]);
    send({ name: 'removePhoto', photo });
    expect(photos()).toEqual([]);
    expect(send({ name: 'undo' }).photos).toMatchObject([{ words: 'first', onRecord: true }]);
  });
  test.each([
    ['one that is not there', { name: 'keepPhoto', photo: 99, words: '' }, 'no-photo'],
    ['one that was never kept', { name: 'removePhoto', photo: 1 }, 'no-photo'],
    [
      'words for one that is gone',
      { name: 'describePhoto', photo: 1, words: '', onRecord: true },
      'no-photo',
    ],
  ])('%s is refused', (_, command, reason) => {
    hand();
    expect(problemOf(() => send(command)).reason).toBe(reason);
  });
  test('another job’s picture is not to be had', () => {
    const photo = keep();
    const other = createJob({ who: 'T', archer: { name: 'Other' }, job: {} }, db);
    expect(problemOf(() => photoPicture(other.job.id, String(photo), 'large', db)).status).toBe(
      404,
    );
    for (const id of ['0', '-1', '1e3', 'x', '9'.repeat(30)])
      expect(problemOf(() => photoPicture(job.job.id, id, 'large', db)).status).toBe(404);
  });
  test('a number is never used twice, though its picture is gone', () => {
    const first = hand();
    forgetPhotos(db, '2026-12-24T00:00:00Z');
    expect(photoById(db, job.job.id, first)).toBeNull();
    expect(hand()).toBe(first + 1);
  });
  test('four are read at once, the fifth is asked to wait; afterwards there is room again', async () => {
    let go: () => void = () => undefined;
    const gate = new Promise<void>((done) => (go = done));
    const four = Array.from({ length: 4 }, () => withRoom(() => gate));
    await expect(withRoom(() => gate)).rejects.toMatchObject({ status: 503, reason: 'busy' });
    go();
    await Promise.all(four);
    await expect(withRoom(async () => 'read')).resolves.toBe('read');
    await expect(withRoom(() => Promise.reject(new Error('no')))).rejects.toThrow('no');
    await expect(withRoom(async () => 'read')).resolves.toBe('read');
  });
  test('of something nobody knows, for no job, or one too many: told before the picture is read', () => {
    expect(problemOf(() => mayTakePhoto(job.job.id, 'value:nonsense', db)).status).toBe(400);
    expect(problemOf(() => mayTakePhoto(job.job.id, 'bow'.repeat(99), db)).status).toBe(400);
    expect(problemOf(() => mayTakePhoto('nobody', 'bow', db)).status).toBe(404);
    for (let i = 0; i < MOST_PHOTOS; i++) keep();
    expect(problemOf(() => mayTakePhoto(job.job.id, 'bow', db)).reason).toBe('too-many-photos');
  });
  test('the record takes six', () => {
    const all = Array.from({ length: MOST_ON_RECORD + 1 }, () => keep());
    const choose = (photo: number) =>
      send({ name: 'describePhoto', photo, words: '', onRecord: true });
    all.slice(0, MOST_ON_RECORD).forEach(choose);
    expect(problemOf(() => choose(all.at(-1)!)).reason).toBe('record-full');
  });
  test('what was handed in and left is forgotten after a day; what is kept, undone or printed is not', () => {
    const [left, kept1, undone] = [hand(), keep(), keep()];
    send({ name: 'undo' });
    expect(forgetPhotos(db, '2026-11-24T08:00:00Z')).toBe(0);
    expect(forgetPhotos(db, '2026-11-25T10:00:00Z')).toBe(1);
    expect(photoById(db, job.job.id, left)).toBeNull();
    expect(photoById(db, job.job.id, kept1)).not.toBeNull();
    expect(photoById(db, job.job.id, undone)).not.toBeNull();
  });
  test('chosen ones stand on the record of page and paper, and stay when the list loses them', async () => {
    const bytes = await keptPicture(await photograph(400, 200));
    const photo = handInPhoto(job.job.id, 'bow', bytes, db).photo;
    send({ name: 'keepPhoto', photo, words: 'finished' });
    send({ name: 'describePhoto', photo, words: 'finished', onRecord: true });
    send({ name: 'chooseBow', bowId: 'test-31-r', reason: 'a test' });
    for (const { id } of HANDOVER_CAUTIONS) send({ name: 'acknowledge', cautionId: id, yes: true });
    send({ name: 'handOver', openReason: 'only the picture' });
    const sheet = kept(db, job.job.id, 1) as SheetDocument;
    expect(sheet.photos).toEqual([
      { id: photo, text: 'The whole bow: finished', width: 200, height: 400 },
    ]);
    const block = sheetPages(sheet, { prices: true, when: String }).two.find(
      ({ id }) => id === 'photos',
    );
    expect(block!.photos).toEqual(sheet.photos);
    send({ name: 'takeBackHandover', reason: 'one more' });
    send({ name: 'removePhoto', photo });
    expect(forgetPhotos(db, '2030-01-01T00:00:00Z')).toBe(0);
    const pictures = recordPictures(job.job.id, sheet.photos, db);
    const print = { paper: 'A4', prices: false, timeZone: 'UTC' } as const;
    const [bare, full] = [
      await sheetPdf(sheet, print),
      await sheetPdf(sheet, { ...print, pictures }),
    ];
    expect(full.length - bare.length).toBeGreaterThan(bytes.large.length * 0.9);
    expect(derive(loadSnapshot(job.job.id, db)!).plan.steps.length).toBeGreaterThan(0);
  });
});
