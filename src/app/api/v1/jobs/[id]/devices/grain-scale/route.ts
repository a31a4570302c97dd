import { deviceAnswer, wholeOf } from '@/server/device-stream';
import { grainScaleOf } from '@/server/grain-scale';

type Params = { params: Promise<{ id: string }> };

/** The grain scale's lines as server-sent events; ?pull=N practises a cable pulled after N arrows. */
export const GET = (request: Request, { params }: Params) =>
  deviceAnswer(request, async (options) =>
    grainScaleOf((await params).id, wholeOf(options, 'pull')),
  );
