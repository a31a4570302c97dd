export { sampleBows as demoBows, sampleParts as demoCatalogue } from '@/server/samples';
