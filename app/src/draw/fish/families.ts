/** How fins and head of a family are drawn, on the body that its shape gives. Lengths are shares of the fish. */
export interface FamilyFins {
  tail: 'forked' | 'deep fork' | 'round' | 'straight' | 'pointed' | 'fan';
  /** From, to and height of each dorsal fin, the first peaking early. */
  dorsal: readonly (readonly [from: number, to: number, height: number])[];
  /** From, to and height of the anal fin. */
  anal?: readonly [from: number, to: number, height: number];
  /** The small fin without rays before the tail. */
  adipose?: true;
  /** Below: a fin, or threads that feel. */
  pelvic?: 'fin' | 'thread' | 'sucker';
  /** Pairs of barbels at the mouth, and how long they are. */
  barbels?: readonly [pairs: number, length: number];
  /** Where the mouth is on the head: up, in front or below. */
  mouth?: -1 | 0 | 1;
  /** Where the body is deepest. */
  deepest?: number;
  /** Against its shape: how deep above and below. */
  above?: number;
  below?: number;
  /** A snout or jaw that is drawn out. */
  snout?: number;
}

const TETRA: FamilyFins = {
  tail: 'forked',
  dorsal: [[0.42, 0.56, 0.13]],
  anal: [0.56, 0.79, 0.08],
  adipose: true,
  pelvic: 'fin',
};
const BARB: FamilyFins = {
  tail: 'forked',
  dorsal: [[0.42, 0.58, 0.14]],
  anal: [0.62, 0.74, 0.09],
  pelvic: 'fin',
  barbels: [1, 0.05],
};
const LABYRINTH: FamilyFins = {
  tail: 'fan',
  dorsal: [[0.46, 0.74, 0.13]],
  anal: [0.36, 0.8, 0.11],
  pelvic: 'thread',
  mouth: -1,
};
const KILLIFISH: FamilyFins = {
  tail: 'fan',
  dorsal: [[0.58, 0.78, 0.13]],
  anal: [0.56, 0.8, 0.14],
  pelvic: 'fin',
  mouth: -1,
};
const LOACH: FamilyFins = {
  tail: 'straight',
  dorsal: [[0.44, 0.56, 0.09]],
  anal: [0.68, 0.76, 0.05],
  barbels: [3, 0.06],
  mouth: 1,
};
const CATFISH: FamilyFins = {
  tail: 'forked',
  dorsal: [[0.26, 0.38, 0.2]],
  anal: [0.6, 0.74, 0.08],
  adipose: true,
  pelvic: 'fin',
  barbels: [2, 0.16],
  mouth: 1,
  deepest: 0.3,
};
const PERCH: FamilyFins = {
  tail: 'round',
  dorsal: [[0.26, 0.78, 0.1]],
  anal: [0.58, 0.78, 0.1],
  pelvic: 'fin',
};
const RAINBOW: FamilyFins = {
  tail: 'forked',
  dorsal: [
    [0.38, 0.47, 0.1],
    [0.53, 0.78, 0.09],
  ],
  anal: [0.48, 0.79, 0.09],
  pelvic: 'fin',
  mouth: -1,
};
const LIVEBEARER: FamilyFins = {
  tail: 'fan',
  dorsal: [[0.52, 0.66, 0.13]],
  anal: [0.58, 0.66, 0.08],
  pelvic: 'fin',
  mouth: -1,
};
const KNIFE: FamilyFins = {
  tail: 'pointed',
  dorsal: [],
  anal: [0.2, 0.92, 0.07],
  deepest: 0.2,
};
const GOBY: FamilyFins = {
  tail: 'round',
  dorsal: [
    [0.3, 0.42, 0.11],
    [0.48, 0.74, 0.09],
  ],
  anal: [0.54, 0.74, 0.08],
  pelvic: 'sucker',
  deepest: 0.22,
};

/** By family; what is not named is drawn by its shape alone. Drawn after what shows each apart. */
export const FAMILY_FINS: Readonly<Record<string, FamilyFins>> = {
  Characidae: TETRA,
  Alestidae: { ...TETRA, tail: 'deep fork', anal: [0.54, 0.8, 0.1] },
  Serrasalmidae: { ...TETRA, anal: [0.5, 0.82, 0.12], mouth: -1 },
  Anostomidae: { ...TETRA, anal: [0.68, 0.78, 0.06], deepest: 0.4, snout: 0.04 },
  Distichodontidae: { ...TETRA, dorsal: [[0.4, 0.56, 0.15]], anal: [0.64, 0.76, 0.07] },
  Crenuchidae: { ...TETRA, dorsal: [[0.38, 0.6, 0.15]], anal: [0.64, 0.74, 0.07] },
  Lebiasinidae: {
    tail: 'forked',
    dorsal: [[0.46, 0.56, 0.1]],
    anal: [0.66, 0.74, 0.06],
    pelvic: 'fin',
    snout: 0.03,
  },
  Gasteropelecidae: {
    tail: 'forked',
    dorsal: [[0.56, 0.66, 0.08]],
    anal: [0.52, 0.8, 0.06],
    mouth: -1,
    deepest: 0.34,
    above: 0.25,
    below: 1.5,
  },
  Danionidae: {
    tail: 'forked',
    dorsal: [[0.54, 0.66, 0.09]],
    anal: [0.58, 0.74, 0.08],
    pelvic: 'fin',
    mouth: -1,
    barbels: [1, 0.04],
  },
  Cyprinidae: BARB,
  Leuciscidae: { ...BARB, dorsal: [[0.48, 0.6, 0.11]], barbels: undefined },
  Xenocyprididae: { ...BARB, tail: 'deep fork', dorsal: [[0.4, 0.72, 0.12]], barbels: undefined },
  Acheilognathidae: {
    ...BARB,
    dorsal: [[0.44, 0.66, 0.13]],
    anal: [0.56, 0.74, 0.12],
    barbels: undefined,
  },
  Botiidae: {
    ...LOACH,
    tail: 'deep fork',
    dorsal: [[0.42, 0.56, 0.13]],
    anal: [0.7, 0.8, 0.08],
    deepest: 0.34,
  },
  Cobitidae: { ...LOACH, tail: 'round' },
  Nemacheilidae: { ...LOACH, dorsal: [[0.42, 0.56, 0.12]] },
  Gastromyzontidae: {
    tail: 'straight',
    dorsal: [[0.4, 0.52, 0.1]],
    anal: [0.66, 0.74, 0.04],
    pelvic: 'sucker',
    mouth: 1,
    deepest: 0.26,
  },
  Balitoridae: { tail: 'deep fork', dorsal: [[0.38, 0.5, 0.1]], pelvic: 'sucker', mouth: 1 },
  Loricariidae: {
    tail: 'straight',
    dorsal: [[0.3, 0.46, 0.22]],
    anal: [0.62, 0.68, 0.05],
    adipose: true,
    pelvic: 'sucker',
    mouth: 1,
    deepest: 0.26,
  },
  Callichthyidae: { ...CATFISH, dorsal: [[0.3, 0.44, 0.17]], barbels: [2, 0.07] },
  Mochokidae: { ...CATFISH, dorsal: [[0.24, 0.36, 0.22]], barbels: [3, 0.16] },
  Siluridae: {
    tail: 'deep fork',
    dorsal: [],
    anal: [0.26, 0.82, 0.08],
    barbels: [1, 0.24],
    deepest: 0.2,
  },
  Schilbeidae: { ...CATFISH, anal: [0.4, 0.82, 0.08], mouth: 0 },
  Bagridae: CATFISH,
  Pimelodidae: { ...CATFISH, barbels: [3, 0.22] },
  Doradidae: CATFISH,
  Auchenipteridae: CATFISH,
  Osphronemidae: LABYRINTH,
  Helostomatidae: { ...LABYRINTH, pelvic: 'fin' },
  Anabantidae: { ...PERCH, dorsal: [[0.28, 0.8, 0.11]], anal: [0.52, 0.8, 0.1], mouth: -1 },
  Channidae: {
    tail: 'round',
    dorsal: [[0.26, 0.82, 0.08]],
    anal: [0.46, 0.82, 0.07],
    deepest: 0.25,
  },
  Cichlidae: PERCH,
  Badidae: { ...PERCH, dorsal: [[0.3, 0.8, 0.12]] },
  Nandidae: PERCH,
  Centrarchidae: PERCH,
  Toxotidae: {
    tail: 'straight',
    dorsal: [[0.58, 0.78, 0.12]],
    anal: [0.56, 0.78, 0.13],
    mouth: -1,
    deepest: 0.5,
  },
  Scatophagidae: { ...PERCH, tail: 'straight' },
  Poeciliidae: LIVEBEARER,
  Goodeidae: {
    ...LIVEBEARER,
    tail: 'straight',
    dorsal: [[0.56, 0.72, 0.13]],
    anal: [0.56, 0.7, 0.12],
  },
  Zenarchopteridae: {
    tail: 'round',
    dorsal: [[0.66, 0.8, 0.08]],
    anal: [0.64, 0.78, 0.08],
    snout: 0.16,
    mouth: -1,
  },
  Nothobranchiidae: KILLIFISH,
  Aplocheilidae: { ...KILLIFISH, dorsal: [[0.7, 0.79, 0.08]], anal: [0.54, 0.78, 0.1] },
  Rivulidae: KILLIFISH,
  Valenciidae: KILLIFISH,
  Fundulidae: KILLIFISH,
  Adrianichthyidae: {
    tail: 'straight',
    dorsal: [[0.7, 0.78, 0.08]],
    anal: [0.5, 0.78, 0.1],
    mouth: -1,
    pelvic: 'fin',
  },
  Melanotaeniidae: RAINBOW,
  Pseudomugilidae: {
    ...RAINBOW,
    dorsal: [
      [0.4, 0.46, 0.2],
      [0.52, 0.72, 0.13],
    ],
  },
  Telmatherinidae: {
    ...RAINBOW,
    dorsal: [
      [0.4, 0.46, 0.12],
      [0.52, 0.78, 0.2],
    ],
    anal: [0.5, 0.78, 0.2],
  },
  Gobiidae: GOBY,
  Eleotridae: { ...GOBY, pelvic: 'fin' },
  Odontobutidae: { ...GOBY, pelvic: 'fin' },
  Gasterosteidae: {
    tail: 'straight',
    dorsal: [
      [0.3, 0.34, 0.09],
      [0.42, 0.46, 0.09],
      [0.54, 0.76, 0.08],
    ],
    anal: [0.56, 0.76, 0.08],
  },
  Tetraodontidae: {
    tail: 'round',
    dorsal: [[0.66, 0.76, 0.1]],
    anal: [0.66, 0.76, 0.09],
    deepest: 0.4,
    above: 1.1,
    below: 1.3,
  },
  Polypteridae: {
    tail: 'pointed',
    dorsal: [
      [0.36, 0.42, 0.06],
      [0.46, 0.52, 0.06],
      [0.56, 0.62, 0.06],
      [0.66, 0.72, 0.06],
    ],
    anal: [0.78, 0.88, 0.06],
  },
  Mastacembelidae: {
    tail: 'pointed',
    dorsal: [[0.3, 0.92, 0.04]],
    anal: [0.5, 0.92, 0.04],
    snout: 0.06,
  },
  Syngnathidae: { tail: 'pointed', dorsal: [[0.5, 0.6, 0.04]], snout: 0.12 },
  Sternopygidae: KNIFE,
  Apteronotidae: KNIFE,
  Notopteridae: { ...KNIFE, dorsal: [[0.46, 0.52, 0.1]] },
  Gymnotidae: KNIFE,
};
