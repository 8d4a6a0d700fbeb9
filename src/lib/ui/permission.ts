/**
 * Whether the system may show notices. What the browser answers when it is asked counts: some say by the older way that they may not
 * while they do.
 */
export async function noticePermission(): Promise<NotificationPermission> {
  try {
    const { state } = await navigator.permissions.query({ name: 'notifications' });
    return state === 'prompt' ? 'default' : state;
  } catch {
    return Notification.permission;
  }
}
