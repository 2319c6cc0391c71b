import { Validators } from '@angular/forms';

/** Something else than spaces is typed. */
export const NOT_BLANK = [Validators.required, Validators.pattern(/\S/)];
