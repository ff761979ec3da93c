/** A copy of plain data, free of what watches it: what a page watches cannot be sent to a worker or kept by the browser. */
export const plain = <Value>(value: Value): Value => JSON.parse(JSON.stringify(value)) as Value;
