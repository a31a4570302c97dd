import { deviceAnswer, wholeOf } from '@/server/device-stream';
import { drawBoardOf } from '@/server/draw-board';

type Params = { params: Promise<{ id: string }> };

/** The draw board's lines as server-sent events; ?pull=N practises a cable pulled after N lines. */
export const GET = (request: Request, { params }: Params) =>
  deviceAnswer(request, async (options) =>
    drawBoardOf((await params).id, wholeOf(options, 'pull')),
  );
