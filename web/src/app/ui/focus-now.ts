import { afterNextRender, Directive, ElementRef, inject } from '@angular/core';

/** Takes the focus when it comes to be: what was just asked for is typed at once. */
@Directive({ selector: '[rnFocusNow]' })
export class FocusNow {
  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    afterNextRender(() => host.focus());
  }
}
