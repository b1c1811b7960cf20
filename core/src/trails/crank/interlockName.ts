/** What keeps a starter from turning, within a sentence: "clutch interlock". */
export const interlockName = (label: string): string => {
  const what = label.replace(/^Interlock: /, '');
  const within = /^[A-Z][a-z]/.test(what) ? what[0]!.toLowerCase() + what.slice(1) : what;
  return /switch$|interlock$/i.test(within) ? within : `${within} interlock`;
};
