export { SteadyStage as default } from '@/ui/stages/steady/SteadyStage';
