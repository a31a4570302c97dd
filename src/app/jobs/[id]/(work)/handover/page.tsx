export { HandoverStage as default } from '@/ui/stages/handover/HandoverStage';
