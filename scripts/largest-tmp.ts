import { CALCULATIONS } from '@/server/compute';
import { seeded } from '@/core/numerics';
const random = seeded(5);
const one = <T,>(a: readonly T[]) => a[Math.floor(random() * a.length)]!;
type S = any;
function big(s: S, key = ''): any {
  if ('const' in s) return s.const;
  if (s.enum) return one(s.enum);
  if (s.anyOf) { const non = s.anyOf.filter((x: S) => x.type !== 'null'); return big(one(non.length ? non : s.anyOf), key); }
  const t = Array.isArray(s.type) ? s.type[0] : s.type;
  if (t === 'boolean') return true;
  if (t === 'integer' || t === 'number') { const lo = s.minimum ?? s.exclusiveMinimum ?? 0, hi = s.maximum ?? s.exclusiveMaximum ?? lo + 100; const v = lo + (0.2 + 0.6 * random()) * (hi - lo); return t === 'integer' ? Math.round(v) : v; }
  if (t === 'string') return `${key}${Math.floor(random() * 1e6)}`.slice(0, s.maxLength ?? 40);
  if (t === 'array') return Array.from({ length: Math.min(s.maxItems ?? 50, 3000) }, (_, i) => big(s.items ?? {}, key + i + '-'));
  if (t === 'object') { const o: any = {}; for (const [k, v] of Object.entries(s.properties ?? {})) o[k] = big(v, k); const p: any = Object.values(s.patternProperties ?? {})[0]; if (p) for (let i = 0; i < Math.min(s.maxProperties ?? 20, 50); i++) o['k' + i] = big(p, 'k'); return o; }
  return null;
}
for (const [name, { request, run }] of Object.entries(CALCULATIONS)) {
  let worst = 0, ok = 0, size = 0, why = '';
  for (let i = 0; i < 25; i++) {
    const input = big(request); size = Math.max(size, JSON.stringify(input).length);
    const t = performance.now();
    try { await run(input); ok++; } catch (e: any) { why = (e.reason ?? e.message) + ' ' + String(e.message).slice(0, 120); }
    worst = Math.max(worst, performance.now() - t);
    if (worst > 5000) break;
  }
  console.log(name.padEnd(18), `${worst.toFixed(0)} ms`.padStart(9), `${(size / 1000).toFixed(0)} kB`.padStart(8), `${ok}/25`, ok < 25 ? why : '');
}
