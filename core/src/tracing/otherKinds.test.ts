import { testKinds } from '../__tests__/faultInRepairOut.ts';

testKinds(1);
