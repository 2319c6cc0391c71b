import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { DomSanitizer } from '@angular/platform-browser';
import accountSvg from '@mdi/svg/svg/account-hard-hat-outline.svg';
import bookSvg from '@mdi/svg/svg/book-open-page-variant-outline.svg';
import anatomySvg from '@mdi/svg/svg/shape-outline.svg';
import jobSvg from '@mdi/svg/svg/clipboard-text-outline.svg';
import drawSvg from '@mdi/svg/svg/vector-square.svg';
import guitarSvg from '@mdi/svg/svg/format-list-bulleted.svg';
import listSvg from '@mdi/svg/svg/format-list-numbered.svg';
import puzzleSvg from '@mdi/svg/svg/puzzle-outline.svg';
import rulerSvg from '@mdi/svg/svg/ruler.svg';
import themeSvg from '@mdi/svg/svg/theme-light-dark.svg';
import helpSvg from '@mdi/svg/svg/keyboard-outline.svg';
import hammerSvg from '@mdi/svg/svg/hammer-screwdriver.svg';
import upSvg from '@mdi/svg/svg/arrow-up.svg';
import removeSvg from '@mdi/svg/svg/close.svg';
import wireSvg from '@mdi/svg/svg/sine-wave.svg';
import downSvg from '@mdi/svg/svg/arrow-down.svg';

const ICONS = {
  person: accountSvg,
  record: bookSvg,
  about: jobSvg,
  anatomy: anatomySvg,
  cut: drawSvg,
  instruments: guitarSvg,
  order: listSvg,
  fit: puzzleSvg,
  survey: rulerSvg,
  theme: themeSvg,
  keys: helpSvg,
  bench: hammerSvg,
  wire: wireSvg,
  up: upSvg,
  down: downSvg,
  remove: removeSvg,
} as const;

export type IconName = keyof typeof ICONS;

/** One shipped icon; it only decorates, the label stands beside it. */
@Component({
  selector: 'rn-icon',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<span aria-hidden="true" [innerHTML]="svg()"></span>`,
  styles: `
    :host {
      display: inline-flex;
      width: 1.5rem;
      height: 1.5rem;
    }
    span {
      display: contents;
    }
    :host ::ng-deep svg {
      width: 100%;
      height: 100%;
      fill: currentColor;
    }
  `,
})
export class Icon {
  readonly name = input.required<IconName>();
  private readonly sanitizer = inject(DomSanitizer);
  protected readonly svg = computed(() => this.sanitizer.bypassSecurityTrustHtml(ICONS[this.name()]));
}
