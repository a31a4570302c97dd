import { answer, otherMethods, readBytes } from '@/server/http';
import { heavy } from '@/server/heavy';
import { handInPhoto, mayTakePhoto, withRoom } from '@/server/photos';
import { PHOTO_BYTES } from '@/server/photo-limit';

type Params = { params: Promise<{ id: string }> };

/** Hands a picture in, its bytes as the body: ?about=bow, step:ID or value:KEY. A command keeps it. */
export const POST = (request: Request, { params }: Params) =>
  answer(async () => {
    const { id } = await params;
    const about = mayTakePhoto(id, new URL(request.url).searchParams.get('about') ?? 'bow');
    const picture = await withRoom(async () =>
      heavy('picture', await readBytes(request, PHOTO_BYTES)),
    );
    return handInPhoto(id, about, picture);
  }, 201);

export const { GET, PUT, PATCH, DELETE } = otherMethods('POST');
