let made: string | undefined;

/** This page among all that are open: made when it is first asked for, gone with the page. */
export const tabId = (): string => (made ??= crypto.randomUUID());
