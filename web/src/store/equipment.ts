import type { Equipment, EquipmentCreate } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { useRecords } from './records.ts';

/** Cups and bottles to mix in, blowers, and shelves of the rack. */
export const useEquipment = defineStore('equipment', () => {
  const records = useRecords<Equipment, EquipmentCreate>(api.equipment);
  const ofKind = <Kind extends Equipment['kind']>(kind: Kind) =>
    computed(() =>
      records.items.value.filter((each): each is Extract<Equipment, { kind: Kind }> => each.kind === kind),
    );
  return { ...records, vessels: ofKind('vessel'), blowers: ofKind('blower'), shelves: ofKind('shelf') };
});
