import type { ChildProcess } from 'node:child_process';

export declare const CHROMIUM_FLAGS: string[];
export declare const SERVER: string;
export declare function chromiumPath(): string | undefined;
export declare function freePort(wanted: number): Promise<number>;
export declare function ownPort(): Promise<number>;
export declare function startServer(options: {
  port: number;
  db: string;
  env?: Record<string, string>;
  /** Opens a new shop; usual where the file is not there. */
  fresh?: boolean;
}): Promise<{ child: ChildProcess; url: string; output: () => string }>;
