import { answerFile, otherMethods } from '@/server/http';
import { photoPicture } from '@/server/photos';
import { wordOf } from '@/server/query';

type Params = { params: Promise<{ id: string; photo: string }> };

/** A photograph as it is kept, JPEG; ?size=large (usual) or small. */
export const GET = (request: Request, { params }: Params) =>
  answerFile(async () => {
    const { id, photo } = await params;
    const size = wordOf(new URL(request.url).searchParams, 'size', ['large', 'small']);
    return {
      body: photoPicture(id, photo, size),
      type: 'image/jpeg',
      name: `photo-${photo}.jpg`,
      inline: true,
      // A picture never changes: another one has another number.
      keeps: true,
    };
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
