/** What a running shop begins with, once for the process. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { openShop } = await import('./server/open-shop');
  openShop();
}
