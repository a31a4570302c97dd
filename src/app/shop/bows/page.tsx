import type { Metadata } from 'next';
import { allBows } from '@/server/stock';
import { singleBows } from '@/server/bow-pieces';
import { samplesNamed } from '@/server/samples';
import { loadShop } from '@/server/shop';
import { BowStockPage } from '@/ui/shop/BowStockPage';
import { pages } from '@/ui/words/pages';

export const metadata: Metadata = { title: pages.bows };

export default function Page() {
  return (
    <BowStockPage
      bows={allBows()}
      pieces={singleBows()}
      units={loadShop().units}
      samples={samplesNamed()}
    />
  );
}
