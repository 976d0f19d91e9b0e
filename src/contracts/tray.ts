import { exactly } from './fields.ts';
import { string } from 'yup';
import { TRAY_FOR, TRAY_VERSIONS, type TrayFor, type TrayVersion } from '../core/print/index.ts';

/** What is printed of a session's tray. */
export const trayForm = exactly({
  for: string().required().oneOf(TRAY_FOR),
  version: string().required().oneOf(TRAY_VERSIONS),
  home: string().uuid(),
});

/** Of what, for whom and in which version sheets are printed. */
export interface TrayChoice {
  readonly for: TrayFor;
  readonly version: TrayVersion;
  readonly home?: string | undefined;
}
