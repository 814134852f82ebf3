import type { AlertSettings } from '../../core/model/alert-settings';
import type { AccountView } from '../../core/wire/desk';
import type { Api } from '../frame/api';

/** One's own account. Each change gives it as it is since. */
export interface AccountPort {
  getAccount(): Promise<AccountView>;
  setName(name: string): Promise<AccountView>;
  setAlerts(alerts: AlertSettings): Promise<AlertSettings>;
  /** Needs the password that holds. */
  setMail(asked: { readonly mail: string; readonly password: string }): Promise<AccountView>;
  /** Ends every other session. */
  setPassword(asked: { readonly password: string; readonly newPassword: string }): Promise<AccountView>;
  endOtherSessions(): Promise<AccountView>;
}

export function accountPort({ get, post }: Api): AccountPort {
  return {
    getAccount: () => get('account'),
    setName: (name) => post('account/name', { name }),
    setAlerts: (alerts) => post('account/alerts', alerts),
    setMail: (asked) => post('account/mail', asked),
    setPassword: (asked) => post('account/password', asked),
    endOtherSessions: () => post('account/sessions/end-others', {}),
  };
}
