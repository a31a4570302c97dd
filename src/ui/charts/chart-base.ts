import type { ApexOptions } from 'apexcharts';
import { fonts } from '../theme/tokens';

/** What all charts share: the house's type, thin rules, nothing that needs hover. */
export const chartBase: ApexOptions = {
  chart: {
    animations: { enabled: false },
    toolbar: { show: false },
    zoom: { enabled: false },
    fontFamily: fonts.text,
    foreColor: 'var(--ink-soft)',
    background: 'transparent',
  },
  grid: { borderColor: 'var(--rule-soft)', padding: { left: 6, right: 10, top: -18 } },
  legend: { show: false },
  tooltip: { enabled: false },
  dataLabels: { enabled: false },
};
