import { sendFile, type Schemas } from '../api/client';

/** Brings a picture or scan into the library; what it is is found out by the server. */
export const sendPicture = (file: Blob) => sendFile<Schemas['PictureView']>('/api/pictures', file);
