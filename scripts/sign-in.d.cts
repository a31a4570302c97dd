export interface Cookie {
  readonly name: string;
  readonly value: string;
}
export function signIn(
  url: string,
  who?: { readonly personId: string; readonly secret: string; readonly name: string },
): Promise<readonly Cookie[]>;
export function openToOwner(url: string, name: string, secret: string): Promise<readonly Cookie[]>;
export function cookieHeader(cookies: readonly Cookie[]): string;
export function enterShop(url: string): Promise<readonly Cookie[]>;
