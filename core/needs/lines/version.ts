/** Version of the list: raised when a row says, costs or waits for something else. A plan keeps the one it was made with. */
export const LIST_VERSION = 1
