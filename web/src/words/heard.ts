import type { Complaint } from '@pondu/core';

type Symptom = Complaint['symptom'];

/** How owners say it, symptom by symptom; the more of them a text meets, the likelier it is meant. */
const SAID: Readonly<Record<Symptom, readonly RegExp[]>> = {
  'no-fire': [
    /(won.?t|will not|does ?n.?t|not) (start|fire|catch|go)\b/,
    /no spark|never fires|dead as/,
    /(cranks|turns over|spins over).*\b(nothing|not|won.?t|never)/,
  ],
  dies: [/(dies|cuts out|conks out|stops dead|switched off)/, /(fires|starts|catches) and (dies|stops)/],
  misses: [/miss(es|ing|fires?)?\b/, /(on|only) (one|two|three|five|seven) cylinders?/, /splutter|stutter|lumpy|rough/],
  'hard-start': [
    /hard to start|takes (ages|for ?ever|long)|hard starting|many (tries|attempts|turns)/,
    /eventually (starts|fires|catches)/,
  ],
  'crank-nothing': [
    /(dead|nothing).*\b(key|button|start)|(key|button).*\b(dead|nothing)/,
    /(not|no) (even )?(a )?click/,
    /starter (is )?dead|starter.*\bdead\b/,
  ],
  'crank-click': [/\b(one|a single|just a|just) click|clicks once/],
  'crank-chatter': [/chatter|click(ing|s)? (and|after) click|clicking fast|rattles? like a machine gun|click click/],
  'crank-grinds': [/grind(s|ing)?\b|teeth|crunch/],
  'crank-slow': [/(turns|cranks|spins)( over)? (slowly|heavily|lazily)|slow (to )?(turn|crank)|labou?rs/],
  'crank-free': [/(spins|whirrs?|whines?) (free|freely)|starter (spins|whirrs?|whines?)|engine (stands|does not turn)/],
  'crank-stays': [/starter (stays|keeps|goes on)|keeps (cranking|turning over)|won.?t let go/],
  'no-charge': [/(not|n.?t|no) charg|doesn.?t charge|never charges/],
  overcharge: [
    /over.?charg|charges too much|battery boils|boils (the|its) battery|bulbs? (blow|burn)|lamps? (blow|burn out)/,
  ],
  'lamp-wrong': [/(charge|red|ignition|warning) (lamp|light)/],
  floods: [/flood(s|ed|ing)?\b|smells? of (petrol|fuel|gas)|drips? (petrol|fuel)|black smoke|overflow/],
  stalls: [
    /(stalls|stops|dies|cuts out) after|after (a few|some|ten|five|\d+) (minutes?|miles?|kilomet)/,
    /goes again (after|when|once)/,
  ],
  'no-pull': [
    /no (power|pull|strength)|(won.?t|will not|doesn.?t) (pull|rev)|flat spot|gutless|weak (on|up) (a |the )?hill|bogs/,
  ],
  'no-idle': [/(won.?t|will not|doesn.?t|does not) idle|no (idle|tickover)|stops (at|when).*(lights|idle|throttle)/],
  'idle-wrong': [/idles? (too )?(fast|slow|high|low|rough|wrong)|tickover|hunt(s|ing)\b|races\b/],
  'cold-runs': [
    /(cold|until (it is )?warm|when cold).*(stumbl|spit|bad|rough|hesitat)|(stumbl|spit|bad|rough|hesitat).*(cold|until (it is )?warm)/,
  ],
  'kicks-back': [/kick(s|ed)? back|kick-?back/],
  knocks: [/knock(s|ing)?\b|ping(s|ing)?\b|pink(s|ing)?\b/],
  'will-not-stop': [
    /(won.?t|will not|doesn.?t|can.?t) (stop|shut|switch off|turn it off)|runs? on\b|keeps running|diesel(s|ing)\b/,
  ],
  'flat-overnight': [
    /flat (overnight|in the morning|after|by)|(battery|drains?).*(overnight|standing|morning)|(overnight|standing).*flat/,
  ],
};

/** Enough to choose from; more would be the list again. */
const MOST = 3;

/** What the owner may mean by these words, the likeliest first. */
export function heardIn(words: string): Symptom[] {
  const text = words.toLowerCase().replace(/[’`]/g, "'").replace(/\s+/g, ' ');
  const met = (Object.entries(SAID) as [Symptom, readonly RegExp[]][]).map(
    ([symptom, patterns]) => [symptom, patterns.filter((p) => p.test(text)).length] as const,
  );
  return met
    .filter(([, many]) => many > 0)
    .sort((a, b) => b[1] - a[1])
    .slice(0, MOST)
    .map(([symptom]) => symptom);
}
