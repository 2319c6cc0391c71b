/** What has a body below the face that it hangs from. */
export const HANGS: ReadonlySet<string> = new Set(['pot', 'push-pull pot', 'lever switch', 'toggle switch', 'mini toggle', 'rotary switch', 'jack']);
