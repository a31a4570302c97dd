import type { Command } from '@/contracts/commands';
import { isFitKey } from '@/core/job';
import { isSetupKey, setupValue, type Stage } from '@/core/setup';
import { STEP_TEMPLATES } from '@/core/bench';

const ofKey = (key: string): Stage | '' =>
  isFitKey(key) ? 'fit' : isSetupKey(key) ? setupValue(key).stage : '';

/** The stage an entry belongs to, so that one of another stage is not taken back unseen. */
export function stageOf(command: Command): Stage | '' {
  switch (command.name) {
    case 'takeReadings':
      return ofKey(command.readings[0]?.key ?? '');
    case 'confirmReadings':
      return ofKey(command.keys[0] ?? '');
    case 'setAnswers':
      return command.job?.schools ? 'bench' : 'meet';
    case 'chooseBow':
    case 'orderBow':
    case 'setGoal':
    case 'startDrawOff':
    case 'markDrawOff':
    case 'setDrawOff':
    case 'endDrawOff':
    case 'keepCurve':
      return 'bow';
    case 'choosePart':
    case 'choosePackage':
    case 'setKitWishes':
    case 'orderPart':
    case 'setArrows':
    case 'takeArrows':
    case 'giveQuote':
      return 'kit';
    case 'takeTear':
    case 'movePaper':
    case 'takeBareShaft':
    case 'takeWalkBack':
    case 'takeSpeeds':
    case 'takeGroup':
    case 'takeMark':
      return 'lane';
    case 'signStep':
      return STEP_TEMPLATES.find(({ id }) => id === command.stepId)?.stage ?? 'bench';
    case 'acknowledge':
    case 'handOver':
    case 'takeBackHandover':
      return 'handover';
    default:
      return '';
  }
}
