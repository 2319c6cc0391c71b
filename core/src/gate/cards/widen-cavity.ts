import { plain, tried, type CardRow } from '../card.js';

export const widenCavity: CardRow = { kind: 'widenCavity', cards: (c) => [plain('unplug'), plain('widenTo', { part: c.partName }), tried(c)] };
