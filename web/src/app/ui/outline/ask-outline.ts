import type { MatDialog } from '@angular/material/dialog';
import { firstValueFrom } from 'rxjs';
import type { DrawnOutline, OutlineData } from './outline-dialog';

/** Asks for an outline, from a drawing or from sizes; undefined when nobody wants one after all. */
export async function askOutline(dialogs: MatDialog, data: OutlineData): Promise<DrawnOutline | undefined> {
  const { OutlineDialog } = await import('./outline-dialog');
  const dialog = dialogs.open<InstanceType<typeof OutlineDialog>, OutlineData, DrawnOutline>(OutlineDialog, { data, width: '720px', maxWidth: '95vw' });
  return firstValueFrom(dialog.afterClosed());
}
