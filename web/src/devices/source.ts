/** Whatever sends readings: the server's stream, or a device at a port of this machine. One shape for both. */
export type Source<Message> = {
  /** Calls back with every message until the answer is called. */
  readonly listen: (onMessage: (message: Message) => void) => () => void;
};
