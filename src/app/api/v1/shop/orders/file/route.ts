import { answerFile, CSV, otherMethods } from '@/server/http';
import { ordersFile } from '@/server/orders';

/** What has not been ordered yet, as CSV. */
export const GET = () => answerFile(() => ({ body: ordersFile(), type: CSV, name: 'orders.csv' }));

export const { POST, PUT, PATCH, DELETE } = otherMethods('GET');
