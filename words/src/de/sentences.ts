import type { Tongue } from '../tongue';

const BEYOND = { from: 'ab', under: 'unter', over: 'über' } as const;

export const sentences: Tongue['said'] = {
  decimalSign: ',',
  locale: 'de-DE',
  smallWithin: false,
  place: (axle, side, twin) => {
    const whole = axle === 'front' ? 'Vorderachse' : axle === 'rear' ? 'Hinterachse' : `Achse ${axle}`;
    if (side === null) return whole;
    const named = axle === 'front' ? 'vorn' : axle === 'rear' ? 'hinten' : whole;
    return `${named} ${side}${twin === null ? '' : twin === 'o' ? ', außen' : ', innen'}`;
  },
  beforeDecade: 'vor 2000',
  and: ' und ',
  or: ' oder ',

  mustTell: (bound, value, edge, grade) =>
    `${bound} ${value}: ob es unter ${edge} liegt (${grade}), muss ein Messgerät sagen.`,
  reaches: (what) => `, und es erreicht ${what}`,
  wipe: '. Abwischen und nächstes Mal wieder ansehen',
  goodOf: (good, of) => `${good} von ${of}.`,
  lit: (lamp, good, of, out) => `${lamp}: ${good} von ${of} leuchten${out ? `, aus: ${out}` : ''}.`,
  code: (code, state, gone) => `Code ${code}, ${state}${gone ? '; gelöscht, und er kam nicht wieder' : ''}.`,
  ahead: (what, percent, limit, day) =>
    `${what} besteht heute; mit ${percent} % Wahrscheinlichkeit vor dem nächsten Besuch, etwa ${day}, unter ${limit}.`,
  pair: 'Das andere dieser Achse ist verschlissen oder undicht: beide werden zusammen erneuert.',
  sound: 'Angesehen, nichts zu beanstanden.',
  notLookedAt: 'Noch nicht angesehen.',
  notReached: (why) => `Nicht erreicht${why ? `: ${why}` : ''}.`,
  outOfCondition: (needs) => `Festgehalten, aber nicht beurteilt: dazu gehört ${needs}. Dann noch einmal ablesen.`,
  partlySeen: (why) => `Nur teilweise gesehen${why ? `: ${why}` : ''}.`,
  noReading: (of) => `Noch kein Messwert${of ? `: ${of}` : ''}.`,
  recorded: (why) => `Festgehalten; ${why}.`,
  under: 'unter',
  atOrOver: 'bei oder über',
  over: 'über',
  edge: (grade, how) => `${grade} ${BEYOND[how]}`,
  measureIt: 'messen',
  isBeyond: (what, side, limit, basis) => `${what} liegt ${side} ${limit}${basis ? ` (${basis})` : ''}.`,
  spread: (value) => `${value} zwischen der am meisten und der am wenigsten abgefahrenen Stelle.`,
  across: (value) => `${value} anders als auf der anderen Seite.`,
  freezes: (at, atMost, lowest) =>
    `Gefriert nach seiner Mischung bei ${atMost ? 'höchstens ' : ''}${at}; zu erwarten sind bis ${lowest}.`,
  freezesAt: (at, lowest) => `Gefriert bei ${at}; zu erwarten sind bis ${lowest}.`,
  twins: (value) => `${value} anders als das andere des Paares.`,
  frontRear: (value) => `${value} anders als auf der anderen Achse.`,
  innerOuter: (value) => `${value} zwischen innerem und äußerem Belag.`,
  underMinimum: (value) => `${value} unter dem eingeprägten Mindestmaß.`,
  aboveMinimum: (value) => `${value} über dem eingeprägten Mindestmaß.`,
  shareOfNew: (share, edge) => `${share} des Neuwerts; ${edge}.`,
  ratedShare: (share, edge) => `${share} des Nennstroms; ${edge}.`,
  torqueShare: (share, edge) => `${share} des Drehmoments im Datenblatt; ${edge}.`,
  age: (years, more, edge) => `${more ? 'Mehr als ' : ''}${years} Jahre alt; ${edge}.`,
  per12: (value) => `${value}, auf 12 V gerechnet,`,
  asPlacard: 'wie auf dem Schild',
  offPlacard: (percent, side) => `${percent} % ${side === 'under' ? 'unter' : 'über'} dem Schild`,
  pressureAt: (pressure, temperature, off, placard) => `${pressure} bei ${temperature} °C, ${off} (${placard}).`,
  limitSheet: 'das Grenzwertblatt',
  byHand: (why, grade, computed) => `Von Hand gegeben: ${why} Gerechnet ${grade}: ${computed}`,

  lastUnknown: (job) => `${job}: das letzte Mal ist nicht festgehalten`,
  nextDue: (job, limits, capped) => `Wieder ${job}: ${limits}${capped ? ', nach der Hausgrenze' : ''}`,

  needsReadings: (want, have) =>
    `Braucht ${want === 1 ? 'einen Messwert' : `${want} Messwerte`} dieses Teils; hat ${have === 0 ? 'keinen' : have}.`,
  isUnderNow: (limit) => `Liegt jetzt unter ${limit}.`,
  odd: ' Der letzte Messwert passt nicht zu denen davor: noch einmal ablesen.',
  notInTime: (limit) => `Erreicht ${limit} in keiner Zeit, mit der man plant.`,
  runsOut: (limit, when, far) => `Erreicht ${limit} ${when ? `${when}; ${far}` : far} (8 von 10).`,
  forecastFrom: {
    readings: '',
    fleet: ' Nach dem Verschleiß der Flotte: von diesem Teil gibt es nur einen Messwert.',
    general: ' Allgemeine Zahlen: ein Messwert dieses Teils, und hier ist noch nichts über solche Teile gelernt.',
  },
  perhaps: (factor, percent) =>
    ` Vielleicht verschleißt es neuerdings ${factor}-mal so schnell (${percent} % sicher): die Spanne enthält beides.`,
  held: (times) => ` Solche Spannen haben hier ${times} von 10 Malen gehalten, nicht 8.`,
  pastAlready: 'Der Grenzwert kann schon überschritten sein: erneuern oder jetzt noch einmal messen.',
  lookAgain: (day) => `Bis ${day} noch einmal ansehen, bevor es über den Grenzwert hinaus sein könnte.`,
  likelyFar: (far) => `, am ehesten ${far}`,
  inAtLeast: (low) => `in mindestens ${low}, noch ohne oberes Ende`,
  inBetween: (low, high) => `in ${low} bis ${high}`,
  withinWeeks: (low, high, day) => `${low} bis ${high} Wochen nach dem ${day}`,
  likelyIn: (month) => `, am ehesten im ${month}`,
  notBefore: (when) => `nicht vor ${when}`,
  betweenDates: (from, to) => `zwischen ${from} und ${to}`,
  partOfMonth: (part, month) => `${part === 'early' ? 'Anfang' : part === 'mid' ? 'Mitte' : 'Ende'} ${month}`,
};
