import { SETTINGS, type Setting, type SettingId, settingFault } from '../../core/model/settings';
import { Validate, ValidatorConstraint, type ValidatorConstraintInterface } from './validators';

type Args = { readonly constraints: readonly unknown[] };

@ValidatorConstraint({ name: 'withinSetting' })
class SettingFits implements ValidatorConstraintInterface {
  validate(value: unknown, args?: Args): boolean {
    return (value === null || typeof value === 'number') && settingFault(value, settingOf(args)) === null;
  }
  defaultMessage(args?: Args): string {
    const { least, most } = settingOf(args);
    return `Give a whole number from ${least} to ${most}.`;
  }
}

function settingOf(args: Args | undefined): Setting {
  return SETTINGS[args?.constraints[0] as SettingId];
}

/** A number within the bounds of its setting: the same ones that the field on the screen has. */
export function WithinSetting(id: SettingId): PropertyDecorator {
  return (target, property) => Validate(SettingFits, [id])(target, property);
}
