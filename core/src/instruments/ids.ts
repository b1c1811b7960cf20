export type InstrumentId =
  'voltmeter' | 'ohmmeter' | 'test lamp' | 'LED lamp' | 'spark tester' | 'feeler gauge' | 'capacitance meter' | 'eyes';
