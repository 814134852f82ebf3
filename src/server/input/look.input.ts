import { isRecord } from '../../core/model/json';
import { LIMITS } from '../../core/limits';
import {
  COLOURS,
  type HeaderPicture,
  ICON_NAMES,
  LOOK_NAMES,
  type Look,
  type OwnColours,
  type PictureRef,
  SCHEMES,
  STYLES,
  type Styles,
} from '../../core/model/look';
import { parseInput } from './parse-input';
import {} from './shared.input';
import {
  IsIn,
  IsInt,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  Type,
  Validate,
  ValidateIf,
  ValidateNested,
  ValidatorConstraint,
  type ValidatorConstraintInterface,
} from './validators';
import { WithinSetting } from './within-setting';

const HEX = /^#[0-9a-f]{6}$/;
const AS_HEX = { message: 'Type the colour as # and six digits.' };
const HASH = /^[0-9a-f]{40}$/;

/** Colours by name: known names only, as # and six digits; a ring may be absent. */
@ValidatorConstraint({ name: 'ownColours' })
class OwnColoursFit implements ValidatorConstraintInterface {
  validate(value: unknown): boolean {
    return this.faultOf(value) === null;
  }
  defaultMessage(args?: { value?: unknown }): string {
    return this.faultOf(args?.value) ?? '';
  }
  private faultOf(value: unknown): string | null {
    if (!isRecord(value)) return 'Colours come by name.';
    for (const [name, color] of Object.entries(value)) {
      if (!(COLOURS as readonly string[]).includes(name)) return `No colour is called "${name}".`;
      const isNoRing = name === 'ring' && color === 'transparent';
      if (!isNoRing && (typeof color !== 'string' || !HEX.test(color)))
        return `"${name}" is # and six digits.`;
    }
    return null;
  }
}

class OwnInput {
  @Validate(OwnColoursFit) day!: OwnColours;
  @Validate(OwnColoursFit) evening!: OwnColours;
}

class PictureInput implements PictureRef {
  @Matches(HASH) @IsString() once!: string;
  @Matches(HASH) @IsString() twice!: string;
  @Max(4000) @Min(1) @IsInt() width!: number;
  @Max(4000) @Min(1) @IsInt() height!: number;
}

class HeaderPictureInput extends PictureInput implements HeaderPicture {
  @Matches(HEX, AS_HEX) @IsString() darkest!: string;
  @Matches(HEX, AS_HEX) @IsString() lightest!: string;
}

const oneOf = (name: keyof Styles): PropertyDecorator =>
  IsIn(STYLES[name], { message: `Choose one of: ${(STYLES[name] as readonly string[]).join(', ')}.` });

/** A mark that comes with the product by its name, or a picture by the names it has here. */
@ValidatorConstraint({ name: 'icon' })
export class IconFits implements ValidatorConstraintInterface {
  validate(value: unknown): boolean {
    if (value === null) return true;
    if (!isRecord(value) || Object.keys(value).length !== 1) return false;
    if ('drawing' in value) return (ICON_NAMES as readonly unknown[]).includes(value['drawing']);
    return isRecord(value['picture']) && parseInput(PictureInput, value['picture']).ok;
  }
  defaultMessage(): string {
    return 'A mark is one of ours, or a picture that was uploaded.';
  }
}

export class LookInput implements Look {
  @IsIn(LOOK_NAMES, { message: 'No starting look has this name.' }) name!: Look['name'];
  @Matches(HEX, AS_HEX) @IsString() brand!: string;
  @Matches(HEX, AS_HEX) @IsString() @ValidateIf((look: Look) => look.second !== null) second!: string | null;
  @Matches(HEX, AS_HEX) @IsString() @ValidateIf((look: Look) => look.headerTo !== null) headerTo!:
    string | null;
  @ValidateNested() @Type(() => OwnInput) own!: OwnInput;
  @WithinSetting('radius') radius!: number;
  @WithinSetting('textSize') textSize!: number;
  @IsIn(SCHEMES) scheme!: Look['scheme'];
  @oneOf('font') font!: Look['font'];
  @oneOf('headFont') headFont!: Look['headFont'];
  @oneOf('weight') weight!: Look['weight'];
  @oneOf('density') density!: Look['density'];
  @oneOf('header') header!: Look['header'];
  @oneOf('rule') rule!: Look['rule'];
  @oneOf('messages') messages!: Look['messages'];
  @oneOf('faces') faces!: Look['faces'];
  @oneOf('arrival') arrival!: Look['arrival'];
  @oneOf('opening') opening!: Look['opening'];
  @ValidateNested()
  @Type(() => PictureInput)
  @ValidateIf((look: Look) => look.logo !== null)
  logo!: PictureInput | null;
  @ValidateNested()
  @Type(() => HeaderPictureInput)
  @ValidateIf((look: Look) => look.headerPicture !== null)
  headerPicture!: HeaderPictureInput | null;
  @MaxLength(LIMITS.ownCssChars, { message: `Your own CSS may have ${LIMITS.ownCssChars} characters.` })
  @IsString()
  css!: string;
}
