import { byOf } from '@/server/access/asker';
import { takeInArcher } from '@/server/archer-in';
import { BUNDLE_BYTES } from '@/server/bundle-limit';
import { heavy } from '@/server/heavy';
import { answer, otherMethods, readBytes } from '@/server/http';

/** Takes in an archer's file of another shop, its bytes as the body (docs/formats/archer.md). */
export const POST = (request: Request) =>
  answer(async () => {
    const by = byOf(request);
    const look = await heavy('archerLook', await readBytes(request, BUNDLE_BYTES));
    return takeInArcher(by, look);
  }, 201);

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
