export type InstrumentId =
  | 'voltmeter'
  | 'ohmmeter'
  | 'test lamp'
  | 'LED lamp'
  | 'spark tester'
  | 'feeler gauge'
  | 'capacitance meter'
  | 'peak adapter'
  | 'AC voltmeter'
  | 'clamp meter'
  | 'tachometer'
  | 'scan reader'
  | 'eyes';
