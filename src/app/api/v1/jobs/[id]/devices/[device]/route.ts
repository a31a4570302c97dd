import { otherMethods } from '@/server/http';
import { deviceAnswer } from '@/server/device-stream';
import { deviceOf } from '@/server/devices';

type Params = { params: Promise<{ id: string; device: string }> };

/** A device's lines as server-sent events; ?pull=N practises a cable pulled after N lines. */
export const GET = (request: Request, { params }: Params) =>
  deviceAnswer(request, async (options) => {
    const { id, device } = await params;
    return deviceOf(id, device, options);
  });

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
