import { tellDoor } from './door-events';

/** `fetch` of the shop's own addresses: where nobody is signed in any more the tablet locks. */
export async function askShop(url: string, init?: RequestInit): Promise<Response> {
  const response = await fetch(url, init);
  if (response.status === 401) tellDoor({ is: 'signed-out' });
  return response;
}
