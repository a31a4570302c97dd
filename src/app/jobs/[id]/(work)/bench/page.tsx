export { BenchStage as default } from '@/ui/stages/bench/BenchStage';
