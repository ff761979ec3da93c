import type { Blower, Vessel } from '@icy-ribbon/contract';
import { airTool, type AirTool } from '@icy-ribbon/core/flow/air';

export interface VesselDraft {
  kind: 'vessel';
  name: string;
  capacityMl: number | null;
  tareMg: number | null;
}

export interface BlowerDraft {
  kind: 'blower';
  name: string;
  tool: AirTool;
  exitDiameterMm: number | null;
  exitSpeedMS: number | null;
  exitTrust: 'typical' | 'measured';
  baffle: boolean;
  note: string;
}

/** A cup or blower while it is being entered; numbers may still be missing. */
export type EquipmentDraft = VesselDraft | BlowerDraft;

export const emptyVessel = (): VesselDraft => ({
  kind: 'vessel',
  name: '',
  capacityMl: 150,
  tareMg: null,
});

/** A blower of a kind with that kind's typical exit. */
export function emptyBlower(tool: AirTool = 'hair-dryer'): BlowerDraft {
  const { exitDiameterMm, exitSpeedMS } = airTool(tool);
  return {
    kind: 'blower',
    name: '',
    tool,
    exitDiameterMm,
    exitSpeedMS,
    exitTrust: 'typical',
    baffle: false,
    note: '',
  };
}

export const equipmentDraft = (item: Vessel | Blower): EquipmentDraft =>
  item.kind === 'vessel'
    ? { kind: 'vessel', name: item.name, capacityMl: item.capacityMl, tareMg: item.tareMg }
    : {
        kind: 'blower',
        name: item.name,
        tool: item.tool,
        exitDiameterMm: item.exitDiameterMm,
        exitSpeedMS: item.exitSpeedMS,
        exitTrust: item.exitTrust === 'measured' ? 'measured' : 'typical',
        baffle: item.baffle,
        note: item.note,
      };
