/** A measuring device, real or a stand-in: it sends lines of text until it is done or cut off. */
export interface Device {
  readonly id: string;
  /** What the technician reads: "Draw board, stand-in". */
  readonly name: string;
  /** True for one that only pretends; readings from it are marked so. */
  readonly standIn: boolean;
  /**
   * Connects and hands over lines as they come, each in the device's documented line format.
   * Ends when the device is done; throws DeviceLost when it goes silent or is pulled out.
   */
  lines(signal: AbortSignal): AsyncIterable<string>;
}

/** The cable was pulled, or nothing came for too long; what came before still counts as sent. */
export class DeviceLost extends Error {
  constructor(device: string) {
    super(`${device} does not answer any more: look at its cable, then start again.`);
    this.name = 'DeviceLost';
  }
}
