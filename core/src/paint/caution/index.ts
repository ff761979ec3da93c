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
  drain: 'No paint down the drain: let left-overs dry, then bin them as your local rules say.',
  deferral: 'The maker’s safety data sheet and local rules come first.',
} as const;

export type CautionName = keyof typeof CAUTIONS;
