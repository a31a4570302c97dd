export { LaneStage as default } from '@/ui/stages/lane/LaneStage';
