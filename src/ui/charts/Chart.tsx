'use client';
import dynamic from 'next/dynamic';
import { Text } from '../pieces/Text';
import { fields } from '../words';

const NoChart = () => (
  <Text soft role="status">
    {fields.chartLost}
  </Text>
);

/** The charts' own script, fetched where one shows; without a connection its place says so. */
export const Chart = dynamic(
  () => import('react-apexcharts').catch(() => ({ default: NoChart as never })),
  { ssr: false },
);
