import { testRequests } from '../test/support/requestCases.ts';
import { BeginPicture, EnterByPhone, OpenPhoneDoor, ShowToPhone, TickByPhone } from './index.ts';

describe('what opens the door for phones, and what a phone sends', () => {
  testRequests([
    {
      type: OpenPhoneDoor,
      good: { hours: 3 },
      wrong: [
        ['hours', 0],
        ['hours', 13],
        ['hours', 1.5],
        ['hours', '3'],
      ],
    },
    {
      type: ShowToPhone,
      good: { jobId: 'sg-04', station: 'finish' },
      wrong: [
        ['jobId', ''],
        ['jobId', 4],
        ['station', 'kitchen'],
      ],
    },
    {
      type: EnterByPhone,
      good: { pin: '012345', who: 'Imke Varga' },
      wrong: [
        ['pin', '12345'],
        ['pin', '1234567'],
        ['pin', 'x12345'],
        ['pin', 123456],
        ['who', ''],
        ['who', 'x'.repeat(61)],
      ],
    },
    {
      type: BeginPicture,
      good: { jobId: 'sg-04', stage: 'before', bytes: 1000, side: 'left' },
      wrong: [
        ['jobId', ''],
        ['stage', 'never'],
        ['bytes', 0],
        ['bytes', 26 * 1024 * 1024],
        ['bytes', 0.5],
        ['side', 'inside'],
      ],
    },
    { type: TickByPhone, good: { taskId: 't' }, wrong: [['taskId', '']] },
  ]);
});
