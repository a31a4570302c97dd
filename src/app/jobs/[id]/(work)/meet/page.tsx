export { MeetStage as default } from '@/ui/stages/meet/MeetStage';
