import { ref } from 'vue';

/** Whether the server has asked for its access token. */
export const signedOut = ref(false);
