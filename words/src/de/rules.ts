import type { Tongue } from '../tongue';

export const state: Tongue['state'] = { cold: 'Stand kalt', warm: 'Warm', hot: 'Heiß' };
export const load: Tongue['load'] = { light: 'Leicht beladen', full: 'Voll beladen' };
export const bound: Tongue['bound'] = { exact: '', over: 'mehr als', under: 'höchstens' };
export const basis: Tongue['basis'] = { law: 'Recht', maker: 'Hersteller', house: 'Haus' };

export const accessReason: Tongue['accessReason'] = {
  'tray-on': 'Wanne blieb dran',
  seized: 'Befestigung fest',
  loaded: 'beladen',
  unsafe: 'nicht sicher',
  'keepers-wish': 'Wunsch des Halters',
  'not-fitted': 'nicht vorhanden',
};

export const meterAnswer: Tongue['meterAnswer'] = {
  'meter-replaced': 'Zähler wurde getauscht',
  'last-misread': 'Der letzte war falsch abgelesen',
  'long-trip': 'Es ist wirklich so weit gefahren',
};

export const need: Tongue['need'] = {
  'never-started-today': 'ein Motor, der heute nicht lief',
  'off-cold': 'ein kalter Motor, aus',
  'off-rested': 'zwei Stunden ohne Motor',
  'off-warm': 'ein warmer Motor, aus',
  'off-settled': 'ein Motor, zehn Minuten aus',
  'key-on': 'die Zündung an',
  running: 'der Motor im Lauf',
  'running-hot': 'der Motor heiß im Lauf',
  'tray-off': 'die Wanne ab',
  'wheel-hanging': 'das Rad frei hängend',
  'wheel-off': 'das Rad ab',
  helper: 'ein Helfer',
  ground: 'das Fahrzeug auf seinen Rädern',
};

export const notJudged: Tongue['notJudged'] = {
  'not-measured': 'nichts zu beanstanden gesehen, aber nicht gemessen',
  'no-torque': 'das Datenblatt hat kein Drehmoment dafür',
  'no-row': 'das Grenzwertblatt hat keinen Grenzwert dafür',
  'no-placard': 'das Datenblatt hat keinen Solldruck',
  'tyre-not-cold': 'der Reifen war nicht kalt, und seine Temperatur wurde nicht gelesen',
  'no-temperature': 'ohne Außentemperatur wird es nicht beurteilt',
  'no-minimum': 'das Datenblatt hat kein Mindestmaß für diese Scheibe',
  'no-new-value': 'das Datenblatt hat keinen Neuwert',
  'no-rated-value': 'das Datenblatt hat keinen Nennstrom',
  'other-standard': 'nach einer anderen Prüfnorm gemessen als angegeben',
  'mixture-turns': 'mit so viel Glykol steigt der Gefrierpunkt wieder; keine Tabelle nennt ihn',
  'not-charged': 'die Batterie war nicht in Ruhe mit 12,4 V oder mehr',
};

export const template: Tongue['template'] = {
  full: 'Vollständig',
  interim: 'Zwischenprüfung',
  'cold-gate': 'Kalt, vor dem Start',
  major: 'Groß',
  home: 'Jahreszeiten, zu Hause',
  minibus: 'Kleinbus',
  'plant-daily': 'Maschine, täglich',
  'plant-weekly': 'Maschine, wöchentlich',
  'plant-hours': 'Maschine, nach Stunden',
  'pre-purchase': 'Vor dem Kauf',
  return: 'Wiedervorstellung',
  'first-fourteen': 'Kurzer Rundgang',
};

export const job: Tongue['job'] = {
  'engine-oil': 'Motoröl',
  'oil-filter': 'Ölfilter',
  'air-filter': 'Luftfilter',
  'cabin-filter': 'Innenraumfilter',
  'fuel-filter': 'Kraftstofffilter',
  'spark-plugs': 'Zündkerzen',
  coolant: 'Kühlmittel',
  'brake-fluid': 'Bremsflüssigkeit',
  'gearbox-oil': 'Getriebeöl',
  'transfer-oil': 'Öl des Verteilergetriebes',
  'axle-oil': 'Achsöl',
  'hydraulic-oil': 'Hydrauliköl',
  'timing-belt': 'Zahnriemen',
  'auxiliary-belt': 'Antriebsriemen',
  battery: 'Batterie',
  'key-cell': 'Schlüsselbatterie',
  wipers: 'Wischergummis',
  tyres: 'Reifen',
  rotation: 'Räder tauschen',
  alignment: 'Achsvermessung',
  greasing: 'Abschmieren',
  'wheel-bolts': 'Radschrauben nachgezogen',
  own: 'Eigene Arbeit',
};

export const house: Tongue['house'] = {
  fluidChange: 'Wann Flüssigkeit oder Filter gewechselt wird',
  hardUse: 'Fahrzeuge in hartem Einsatz',
  liningAs: 'Beläge werden angegeben',
  treadAs: 'Profil wird gelesen mit',
  lowBrakeFluid: 'Wenig Bremsflüssigkeit bei abgefahrenen Belägen',
  drainWasher: 'Dichtring der Ablassschraube',
  filterTightness: 'Anschraubfilter',
  dipstickWhileFilling: 'Stab beim Füllen',
  oilTarget: 'Ziel des Ölstands',
  draining: 'Ablassen',
  bestTyres: 'Beste Reifen',
  rotation: 'Räder tauschen',
  dampSeal: 'Feuchte Dichtung, die nicht tropft',
  nearLimit: 'Urteil nahe am Grenzwert',
  positionWords: 'Räder heißen',
  traffic: 'Verkehr hält sich',
  beginWith: 'Womit begonnen wird',
};

export const school: Tongue['school'] = {
  fluidChange: {
    earlier: 'das frühere aus Herstellerangabe und Hausgrenze',
    maker: 'nach dem Hersteller',
    condition: 'nur nach Zustand',
  },
  hardUse: { shortened: 'Abstand um den Faktor verkürzt', same: 'gleicher Abstand' },
  liningAs: { mm: 'in Millimetern', percent: 'in Prozent des Neuwerts', steps: 'in Stufen der Lehre' },
  treadAs: { gauge: 'Tiefenmesser an drei Stellen', bars: 'nur Verschleißstegen' },
  lowBrakeFluid: { leave: 'lassen, sie kommt mit neuen Belägen zurück', 'top-up': 'auffüllen' },
  drainWasher: { new: 'immer neu', reuse: 'wiederverwendet, wenn er gut aussieht' },
  filterTightness: { 'half-turn': 'Kontakt und eine halbe Umdrehung', torque: 'Drehmoment des Datenblatts' },
  dipstickWhileFilling: { spec: 'wie das Datenblatt sagt', in: 'steckt', out: 'gezogen' },
  oilTarget: { top: 'an oder knapp unter der oberen Marke', middle: 'auf halbem Weg zur oberen Marke' },
  draining: { warm: 'warm', cold: 'kalt' },
  bestTyres: { rear: 'auf die Hinterachse', 'even-out': 'getauscht, bis der Verschleiß gleich ist' },
  rotation: { 'by-drive': 'nach Antrieb und Reifen', none: 'nicht' },
  dampSeal: { watch: 'beobachten: abgewischt, wieder angesehen', advisory: 'sofort ein Hinweis' },
  nearLimit: { plain: 'schlicht, Knappes noch einmal gelesen', guarded: 'vorsichtig: bestanden nur mit Abstand' },
  positionWords: {
    kerb: 'Gehwegseite, Fahrbahnseite',
    'left-right': 'links, rechts',
    driver: 'Fahrer-, Beifahrerseite',
  },
  traffic: { left: 'links', right: 'rechts' },
  beginWith: {
    cold: 'kalt, Haube, Innenraum, Räder, Unterseite',
    under: 'mit der Unterseite',
    cabin: 'mit dem Innenraum',
  },
};

export const end: Tongue['end'] = {
  'filler-cap': 'Öldeckel ab',
  'oil-stick': 'Ölstab gezogen',
  'drain-plug': 'Ablassschraube heraus',
  'oil-filter': 'Ölfilter ab',
  'oil-fill': 'Motoröl einzufüllen',
  'coolant-cap': 'Kühlerdeckel ab',
  'brake-cap': 'Deckel der Bremsflüssigkeit ab',
  'coolant-drain': 'Kühlmittel abgelassen',
  'axle-fill-plug': 'Einfüllschraube der Achse heraus',
  'axle-plug': 'Ablassschraube der Achse heraus',
  'gearbox-fill-plug': 'Einfüllschraube des Getriebes heraus',
  'gearbox-plug': 'Ablassschraube des Getriebes heraus',
  'transfer-fill-plug': 'Einfüllschraube des Verteilergetriebes heraus',
  'transfer-plug': 'Ablassschraube des Verteilergetriebes heraus',
  'fuel-filter': 'Kraftstofffilter ab',
  brake: 'Bremse zerlegt',
  tray: 'Bodenwanne ab',
  cover: 'Abdeckung ab',
  wheel: 'Rad ab',
  clip: 'Klammer ab',
  key: 'Schlüssel abgezogen',
  funnel: 'Trichter steckt',
  jack: 'Wagenheber darunter',
  'battery-clamp': 'Batterieklemme ab',
  'codes-cleared': 'Codes gelöscht, noch einmal zu lesen',
  indicator: 'Wartungsanzeige zurückzustellen',
};
