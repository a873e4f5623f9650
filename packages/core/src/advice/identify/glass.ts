import { defineIdentifier } from './evidence';

const PRACTICE =
  'Starting table from general practice with glass; corrected as you tell what it was.';

/** Which glass, and above all how it was treated. */
// One answer a line: the table is read across.
// prettier-ignore
export const glass = defineIdentifier({
  title: 'Which glass',
  candidates: {
    'annealed-pane': { name: 'Annealed pane', material: 'float-glass', treatment: 'annealed', form: 'sheet', prior: 40 },
    'tempered-pane': { name: 'Tempered pane', material: 'float-glass', treatment: 'tempered', form: 'sheet', prior: 25 },
    'heat-strengthened-pane': { name: 'Heat-strengthened pane', material: 'float-glass', treatment: 'heat-strengthened', form: 'sheet', prior: 3 },
    'chemically-strengthened': { name: 'Chemically strengthened', material: 'float-glass', treatment: 'chemically-strengthened', form: 'sheet', prior: 3 },
    'laminated-pane': { name: 'Laminated pane', material: 'float-glass', treatment: 'laminated', form: 'sheet', prior: 8 },
    'wired-pane': { name: 'Wired pane', material: 'float-glass', treatment: 'wired', form: 'sheet', prior: 2 },
    'double-unit': { name: 'Sealed double unit', material: 'float-glass', treatment: 'sealed-unit', form: 'sheet', prior: 5 },
    'bottle-or-jar': { name: 'Bottle or jar', material: 'container-glass', treatment: 'annealed', form: 'vessel', prior: 15 },
    'plain-tableware': { name: 'Plain drinking glass or bowl', material: 'container-glass', treatment: 'annealed', form: 'vessel', prior: 5 },
    'toughened-tableware': { name: 'Toughened tableware', material: 'container-glass', treatment: 'toughened-tableware', form: 'vessel', prior: 4 },
    'oven-or-lab-ware': { name: 'Borosilicate oven or lab ware', material: 'borosilicate-glass', treatment: 'annealed', form: 'vessel', prior: 4 },
    'fused-or-blown': { name: 'Fused or blown by hand', material: 'fused-glass', treatment: 'annealed', form: 'sheet', prior: 8 },
    'glass-ceramic': { name: 'Glass-ceramic', material: 'float-glass', treatment: 'glass-ceramic', form: 'sheet', prior: 3 },
  },
  questions: {
    thing: {
      ask: 'What is it, or what was it part of?',
      how: 'Where a pane comes from says most about how it was treated.',
      source: PRACTICE,
      answers: {
        'picture-or-window': { label: 'Picture frame, old window, shelf of a cabinet', given: { 'annealed-pane': 60, 'laminated-pane': 8, 'wired-pane': 10, 'tempered-pane': 6, 'double-unit': 6, 'heat-strengthened-pane': 8 }, otherwise: 0.2 },
        'built-as-a-tank': { label: 'A tank or vitrine of panes', given: { 'annealed-pane': 12, 'tempered-pane': 5, 'laminated-pane': 2 }, otherwise: 0.2 },
        'table-or-shelf': { label: 'Table top or heavy shelf', given: { 'annealed-pane': 10, 'tempered-pane': 22, 'laminated-pane': 10, 'heat-strengthened-pane': 15 }, otherwise: 0.2 },
        'door-shower-balustrade': { label: 'Door, shower, balustrade', given: { 'tempered-pane': 35, 'laminated-pane': 40, 'wired-pane': 55, 'heat-strengthened-pane': 30, 'annealed-pane': 1, 'double-unit': 20 }, otherwise: 0.2 },
        car: { label: 'Car side or rear window', given: { 'tempered-pane': 15, 'laminated-pane': 12 }, otherwise: 0.1 },
        windscreen: { label: 'Windscreen', given: { 'laminated-pane': 20, 'tempered-pane': 0.5 }, otherwise: 0.05 },
        'oven-door': { label: 'Oven door', given: { 'tempered-pane': 8, 'glass-ceramic': 5, 'oven-or-lab-ware': 2 }, otherwise: 0.1 },
        'cooking-top': { label: 'Cooking top, stove window', given: { 'glass-ceramic': 85, 'tempered-pane': 2 }, otherwise: 0.05 },
        screen: { label: 'Phone or screen cover', given: { 'chemically-strengthened': 85, 'tempered-pane': 1 }, otherwise: 0.05 },
        'double-glazing': { label: 'Window with two panes', given: { 'double-unit': 70, 'annealed-pane': 2 }, otherwise: 0.1 },
        'bottle-jar': { label: 'Bottle or jar', given: { 'bottle-or-jar': 96 }, otherwise: 0.1 },
        'drinking-glass': { label: 'Drinking glass, plate, bowl', given: { 'plain-tableware': 80, 'toughened-tableware': 85, 'oven-or-lab-ware': 8 }, otherwise: 0.1 },
        'oven-dish': { label: 'Oven dish, lab ware', given: { 'oven-or-lab-ware': 80, 'toughened-tableware': 12 }, otherwise: 0.1 },
        'hand-made': { label: 'Fused or blown work', given: { 'fused-or-blown': 92, 'plain-tableware': 5 }, otherwise: 0.1 },
        offcut: { label: 'A pane or offcut, nobody knows', given: { 'annealed-pane': 15, 'tempered-pane': 5, 'laminated-pane': 6, 'wired-pane': 25, 'fused-or-blown': 6 }, otherwise: 1 },
      },
    },
    label: {
      ask: 'Is there a stamp, etched mark or label?',
      how: 'Look in every corner, along the edges and at the foot, against a dark ground with a light from the side.',
      source: 'Safety glass is marked by rule in most places; plain glass seldom is.',
      answers: {
        'says-annealed': { label: 'It says annealed or float', given: { 'annealed-pane': 8, 'fused-or-blown': 1 }, otherwise: 0.1 },
        'says-tempered': { label: 'It says tempered, toughened or safety', given: { 'tempered-pane': 60, 'heat-strengthened-pane': 25, 'chemically-strengthened': 10, 'laminated-pane': 20, 'toughened-tableware': 35, 'glass-ceramic': 5, 'double-unit': 15 }, otherwise: 0.3 },
        'says-laminated': { label: 'It says laminated', given: { 'laminated-pane': 45, 'wired-pane': 1 }, otherwise: 0.1 },
        'says-borosilicate': { label: 'It says borosilicate or “for oven”', given: { 'oven-or-lab-ware': 60, 'glass-ceramic': 10, 'toughened-tableware': 8 }, otherwise: 0.1 },
        none: { label: 'None anywhere', given: { 'annealed-pane': 90, 'tempered-pane': 35, 'laminated-pane': 35, 'heat-strengthened-pane': 70, 'bottle-or-jar': 95, 'fused-or-blown': 98 }, otherwise: 55 },
      },
    },
    maker: {
      ask: 'What does its maker or seller say?',
      how: 'The shop that cut it, the invoice, the maker’s sheet.',
      source: PRACTICE,
      answers: {
        'says-annealed': { label: 'Annealed, plain, not treated', given: { 'annealed-pane': 80, 'bottle-or-jar': 60, 'fused-or-blown': 70, 'plain-tableware': 60, 'oven-or-lab-ware': 50 }, otherwise: 2 },
        'says-strengthened': { label: 'Tempered or strengthened', given: { 'tempered-pane': 85, 'heat-strengthened-pane': 80, 'chemically-strengthened': 85, 'toughened-tableware': 85, 'glass-ceramic': 40, 'laminated-pane': 10 }, otherwise: 2 },
        'says-laminated': { label: 'Laminated', given: { 'laminated-pane': 80 }, otherwise: 1 },
        'not-known': { label: 'Nobody to ask, or they do not know', given: {}, otherwise: 30 },
      },
    },
    edge: {
      ask: 'What do its edge and body show?',
      how: 'Look along the edge with a lens, then through the pane against the light.',
      source: PRACTICE,
      answers: {
        'cut-edge': { label: 'A cut edge, straight and sharp or just broken off', given: { 'annealed-pane': 55, 'laminated-pane': 10, 'wired-pane': 30, 'fused-or-blown': 10 }, otherwise: 0.5 },
        'worked-edge': { label: 'Ground or polished all round, corners rounded', given: { 'annealed-pane': 30, 'tempered-pane': 85, 'heat-strengthened-pane': 85, 'chemically-strengthened': 85, 'glass-ceramic': 80, 'laminated-pane': 20, 'double-unit': 5 }, otherwise: 1 },
        'film-line': { label: 'A thin line or film along the middle', given: { 'laminated-pane': 70 }, otherwise: 0.3 },
        'two-panes': { label: 'Two panes with a spacer', given: { 'double-unit': 95 }, otherwise: 0.1 },
        mesh: { label: 'Wire mesh inside', given: { 'wired-pane': 98 }, otherwise: 0.05 },
        'round-body': { label: 'Round or hollow, fire-polished rim', given: { 'bottle-or-jar': 98, 'plain-tableware': 90, 'toughened-tableware': 90, 'oven-or-lab-ware': 95, 'fused-or-blown': 30 }, otherwise: 0.2 },
        'wavy-hand-made': { label: 'Uneven, bubbles, softened edge', given: { 'fused-or-blown': 60, 'plain-tableware': 5 }, otherwise: 0.5 },
        'tinted-ceramic': { label: 'Dark or amber, dimpled underneath', given: { 'glass-ceramic': 80 }, otherwise: 0.2 },
        'not-telling': { label: 'Framed, or nothing to tell', given: {}, otherwise: 15 },
      },
    },
    control: {
      ask: 'Polariser test, first half: do your filters show a tempered pane?',
      how: 'A test is worth nothing until it has shown what it should. Prove it on glass you know is tempered.',
      steps: [
        'Take two polarising filters: lenses of polarised sunglasses, camera filters, or a flat screen that is lit white and one such lens.',
        'Turn one against the other until the light between them goes dark.',
        'Hold glass known to be tempered between them: a car’s side window, a shower door with its stamp.',
        'Turn it slowly. Bright and dark spots or bands in a regular pattern are the frozen stress.',
      ],
      source: 'Photoelasticity: stress turns the plane of polarised light.',
      answers: {
        shows: { label: 'Yes: the known pane shows spots or bands', given: {}, otherwise: 1 },
        'shows-nothing': { label: 'No: nothing to see', given: {}, otherwise: 1 },
        'no-filters': { label: 'No filters or no tempered pane at hand', given: {}, otherwise: 1 },
      },
    },
    pattern: {
      ask: 'Second half: what does your piece show?',
      how: 'The same filters, the same light, your piece between them, turned slowly. Hold it flat, without pressing.',
      steps: [
        'Wipe it dry; put it where the known pane was.',
        'Turn it a quarter round; look at the middle and the edges.',
        'Press a corner with a finger: the light that comes and goes shows that the test works.',
      ],
      source:
        'Thermally tempered panes show the pattern of the air jets; chemically strengthened glass can look clear.',
      after: { question: 'control', answer: 'shows' },
      answers: {
        spots: { label: 'Spots or bands all over, in a pattern', given: { 'tempered-pane': 92, 'heat-strengthened-pane': 80, 'toughened-tableware': 75, 'chemically-strengthened': 10, 'glass-ceramic': 10, 'laminated-pane': 12, 'fused-or-blown': 5 }, otherwise: 2 },
        uneven: { label: 'Light here and there, no pattern', given: { 'fused-or-blown': 40, 'plain-tableware': 20, 'heat-strengthened-pane': 10, 'laminated-pane': 15, 'oven-or-lab-ware': 20 }, otherwise: 5 },
        clear: { label: 'Evenly dark, clear all over', given: { 'annealed-pane': 94, 'chemically-strengthened': 70, 'tempered-pane': 2, 'heat-strengthened-pane': 6, 'laminated-pane': 70, 'bottle-or-jar': 70, 'glass-ceramic': 60, 'toughened-tableware': 8 }, otherwise: 60 },
      },
    },
  },
  staysUnknown:
    'Chemically strengthened glass can pass the polariser test, and heat-strengthened glass shows only faintly. Screens and thin hard covers: presume strengthened.',
});
