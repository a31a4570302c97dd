/** Signing in from outside a browser: shared by the scripts (modules) and the browser tests (CommonJS). */

/** The owner of the demo shop, whose PIN everybody may read. */
const DEMO_OWNER = { personId: 'okoro', secret: '2580', name: 'This machine' };

async function kept(url, path, body) {
  const response = await fetch(url + path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!response.ok) throw new Error(`Nobody was signed in: ${await response.text()}`);
  return response.headers.getSetCookie().map((cookie) => {
    const [, name, value] = /^([^=]+)=([^;]*)/.exec(cookie);
    return { name, value };
  });
}

/** Makes this caller known as a tablet of the demo shop; the cookies it is to keep. */
const signIn = (url, who = DEMO_OWNER) => kept(url, '/api/v1/session/pairing', who);

/** Opens a new shop to its first owner; the cookies to keep. */
const openToOwner = (url, name, secret) =>
  kept(url, '/api/v1/session/owner', { person: { name }, secret, tablet: 'This machine' });

/** Into whatever shop stands there: as the demo's owner, or as the first owner of one nobody has opened. */
async function enterShop(url) {
  const door = await (await fetch(`${url}/api/v1/session`)).json();
  if (typeof door.opened !== 'boolean')
    throw new Error(`Nobody is let in: ${JSON.stringify(door)}`);
  return door.opened ? signIn(url) : openToOwner(url, 'T. Okoro', DEMO_OWNER.secret);
}

const cookieHeader = (cookies) => cookies.map(({ name, value }) => `${name}=${value}`).join('; ');

module.exports = { cookieHeader, enterShop, openToOwner, signIn };
