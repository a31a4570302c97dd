import { DeviceLost, type Device } from '@/devices/port';
import { answer } from './http';

const event = (name: string, data: string) => `event: ${name}\ndata: ${JSON.stringify(data)}\n\n`;

/** Lines of a device as server-sent events: `name`, then `line` by line, `lost` or `done` at the end. */
function deviceStream(device: Device, signal: AbortSignal) {
  const encoder = new TextEncoder();
  return new ReadableStream<Uint8Array>({
    async start(controller) {
      const send = (name: string, data: string) =>
        controller.enqueue(encoder.encode(event(name, data)));
      try {
        send('name', device.name);
        for await (const line of device.lines(signal)) {
          if (signal.aborted) break;
          send('line', line);
        }
        if (!signal.aborted) send('done', '');
      } catch (error) {
        if (!(error instanceof DeviceLost)) throw error;
        send('lost', error.message);
      } finally {
        // A reader that has gone closed it already.
        if (!signal.aborted) controller.close();
      }
    },
  });
}

/** Answers with a device's lines, or with the problem that kept it from being found. */
export async function deviceAnswer(
  request: Request,
  find: (options: URLSearchParams) => Promise<Device>,
): Promise<Response> {
  let device: Device | null = null;
  const problem = await answer(async () => {
    device = await find(new URL(request.url).searchParams);
  });
  if (!device) return problem;
  return new Response(deviceStream(device, request.signal), {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store, no-transform' },
  });
}

/** A whole number of the query; undefined where there is none. */
export function wholeOf(options: URLSearchParams, name: string): number | undefined {
  const value = Number(options.get(name) ?? Number.NaN);
  return Number.isInteger(value) && value >= 0 ? value : undefined;
}

/** A number of the query; null where there is none. */
export function numberOf(options: URLSearchParams, name: string): number | null {
  const text = options.get(name);
  const value = text === null || text.trim() === '' ? Number.NaN : Number(text);
  return Number.isFinite(value) ? value : null;
}
