export const JSON_MEDIA_TYPE = 'application/json';

/** Which tab a write came from, so that it need not look it up again. */
export const TAB_HEADER = 'x-icy-ribbon-tab';

/** Where photos are sent in pieces, to be gone on with when the connection broke (tus 1.0). */
export const UPLOADS_PATH = '/api/uploads';
