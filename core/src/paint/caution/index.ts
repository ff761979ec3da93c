/**
 * The usual caution at the step where it matters. It never replaces the maker's safety data sheet or
 * local rules, and says so.
 */
export const CAUTIONS = {
  breath: 'Rest if you get dizzy, and do not suck back through a straw.',
  coolAir: 'Cool air only.',
  mains: 'Keep wet hands and splashes off dryers, compressors and their plugs.',
  torch: 'Torch away from solvents, aerosols, paper and hair, never over silicone in a closed room.',
  varnish: 'Ventilate the room while polyurethane, silicone or spirits are open.',
  dust: 'Powder dust: wear a mask until it is wet.',
  silicone: 'Silicone: ventilate, and keep it off everything that gets a top coat.',
  resin: 'Resin and hardener: gloves, goggles, a respirator for organic vapor, fresh air; no skin contact.',
  spirits: 'Spirits and alcohol ink: away from every flame and heat tool, and ventilate.',
  heat: 'Heat tool: fingers away, nothing that burns near it, ventilate while film shrinks.',
  glass: 'Glass glitter cuts: gloves, goggles, no blowing.',
  spinner: 'Spinner: fix the board, stand clear.',
  stirSlowly: 'Stir powder in slowly: what flies up is breathed.',
  ceiling: 'Ceiling paint is chalky and cracks: wall paint only.',
  spoilt: 'A conditioner that smells rotten is spoilt: do not stir it in, bin it.',
  suit: 'A suit or old clothes, and hair tied back, when resin is poured.',
  food: 'Not food-safe; how hot a cup a coat stands, its maker says.',
  drain: 'No paint down the drain: let left-overs dry, then bin them as your local rules say.',
  deferral: 'The maker’s safety data sheet and local rules come first.',
} as const;

export type CautionName = keyof typeof CAUTIONS;
