import { answer } from '@/server/http';
import { notFound } from '@/server/problem';

const nothingHere = () =>
  answer(() => {
    throw notFound('address');
  });

export {
  nothingHere as DELETE,
  nothingHere as GET,
  nothingHere as PATCH,
  nothingHere as POST,
  nothingHere as PUT,
};
