import { DEVICES } from '../../core/model/device';
import { isRecord } from '../../core/model/json';
import { isSelector } from '../../core/look/selector';
import { LIMITS } from '../../core/limits';
import {
  CORNERS,
  type Design,
  type Launcher,
  type PageList,
  type Place,
  type Talks,
  type Timings,
  type Widget,
} from '../../core/model/design';
import { LAUNCHER_FORMS } from '../../core/model/look';
import { BEHAVIOURS, WIDGET_STATES, type WidgetState } from '../../core/model/moment';
import type { Condition } from '../../core/model/condition';
import { OUR_TEXTS, entryOf, isCaseKey, textKeyOf } from '../../core/words/catalogue';
import { WithinSetting } from './within-setting';
import { CleanLine } from './clean';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  Equals,
  IsArray,
  IsBoolean,
  IsIn,
  IsString,
  Matches,
  MaxLength,
  MinLength,
  Type,
  Validate,
  ValidateIf,
  ValidateNested,
  ValidatorConstraint,
  type ValidatorConstraintInterface,
} from './validators';
import { FormsInput } from './forms.input';
import { IconFits, LookInput } from './look.input';
import { AudienceFits, InvitationInput, LimitsInput, OwnCaseInput, PageRuleInput } from './invitation.input';
import { ID, LOCALE } from './shared.input';

const idOf = ({ id }: { readonly id: string }): string => id;

class PageListInput implements PageList {
  @ArrayUnique(idOf)
  @ValidateNested({ each: true })
  @Type(() => PageRuleInput)
  @ArrayMaxSize(LIMITS.pageRules)
  @IsArray()
  showOn!: PageRuleInput[];
  @ArrayUnique(idOf)
  @ValidateNested({ each: true })
  @Type(() => PageRuleInput)
  @ArrayMaxSize(LIMITS.pageRules)
  @IsArray()
  neverOn!: PageRuleInput[];
}

class PlaceInput implements Place {
  @IsIn(CORNERS, { message: 'Choose one of the four corners, or the middle of an edge.' })
  corner!: Place['corner'];
  @IsIn(CORNERS, { message: 'Choose one of the four corners, or the middle of an edge.' })
  @ValidateIf((place: Place) => place.phoneCorner !== null)
  phoneCorner!: Place['phoneCorner'];
  @WithinSetting('offset') offset!: number;
  @WithinSetting('phoneOffset') phoneOffset!: number;
  @WithinSetting('lift') lift!: number;
  @WithinSetting('phoneLift') phoneLift!: number;
  @WithinSetting('layer') layer!: number;
  @WithinSetting('windowWidth') windowWidth!: number;
  @WithinSetting('windowHeight') windowHeight!: number;
}

@ValidatorConstraint({ name: 'selector' })
class SelectorFits implements ValidatorConstraintInterface {
  validate(value: unknown): boolean {
    return typeof value === 'string' && isSelector(value);
  }
  defaultMessage(): string {
    return 'That is not a CSS selector.';
  }
}

class LauncherInput implements Launcher {
  @Validate(IconFits) icon!: Launcher['icon'];
  @Validate(IconFits) closedIcon!: Launcher['closedIcon'];
  @WithinSetting('delay') delay!: number;
  @ArrayUnique()
  @IsIn(DEVICES, { each: true })
  @ArrayMaxSize(DEVICES.length)
  @IsArray()
  hiddenOn!: Launcher['hiddenOn'][number][];
  @ArrayUnique()
  @IsIn(WIDGET_STATES, { each: true })
  @ArrayMaxSize(WIDGET_STATES.length)
  @IsArray()
  @ValidateIf(({ noWordsIn }: Launcher) => noWordsIn !== undefined)
  noWordsIn?: WidgetState[];
  @Validate(SelectorFits)
  @MaxLength(LIMITS.selectorChars)
  @IsString()
  @ValidateIf((launcher: Launcher) => launcher.element !== null)
  element!: string | null;
  @IsIn(LAUNCHER_FORMS, { message: 'No launcher has this form.' }) form!: Launcher['form'];
  @WithinSetting('launcherSize') size!: number;
  @WithinSetting('wordsFrom') wordsFrom!: number;
}

class TimingsInput implements Timings {
  @WithinSetting('comfortAfter') comfortAfter!: number;
  @WithinSetting('slowReplyAfter') slowReplyAfter!: number;
  @WithinSetting('slowReplyNearbyAfter') slowReplyNearbyAfter!: number;
  @WithinSetting('slowReplyTalkingAfter') slowReplyTalkingAfter!: number | null;
  @WithinSetting('endsAfterQuiet') endsAfterQuiet!: number;
}

class TalksInput implements Talks {
  @IsBoolean() keepsWaiting!: boolean;
  @IsBoolean() offersAgain!: boolean;
}

class BehavioursInput {
  @IsIn(BEHAVIOURS) in!: Widget['behaviours']['in'];
  @IsIn(BEHAVIOURS) nearby!: Widget['behaviours']['in'];
  @IsIn(BEHAVIOURS) busy!: Widget['behaviours']['in'];
  @IsIn(BEHAVIOURS) nobody!: Widget['behaviours']['in'];
  @IsIn(BEHAVIOURS) closed!: Widget['behaviours']['in'];
}

/** Texts by locale and key: known keys only, each within its bound. */
@ValidatorConstraint({ name: 'texts' })
class TextsFit implements ValidatorConstraintInterface {
  validate(value: unknown): boolean {
    return this.faultOf(value) === null;
  }
  defaultMessage(args?: { value?: unknown }): string {
    return this.faultOf(args?.value) ?? '';
  }
  private faultOf(value: unknown): string | null {
    if (!isRecord(value)) return 'Texts come by language.';
    if (Object.keys(value).length > LIMITS.locales) return `A site has at most ${LIMITS.locales} languages.`;
    for (const [locale, texts] of Object.entries(value)) {
      if (!LOCALE.test(locale) || !isRecord(texts)) return `"${locale}" is not a language tag.`;
      for (const [key, text] of Object.entries(texts)) {
        if (!isCaseKey(key)) return `No text is called "${key}".`;
        const { atMost } = entryOf(textKeyOf(key));
        if (typeof text !== 'string' || text.length > atMost)
          return `"${OUR_TEXTS['en']?.[key]}" may have ${atMost} characters.`;
      }
    }
    return null;
  }
}

class WidgetInput implements Widget {
  @Matches(ID) @IsString() id!: string;
  @Matches(/^[a-z0-9-]{1,40}$/, { message: 'A widget key has small letters, digits and hyphens.' })
  @IsString()
  key!: string;
  @MaxLength(60) @MinLength(1, { message: 'Give the widget a name.' }) @IsString() @CleanLine name!: string;
  @ArrayUnique() @Matches(ID, { each: true }) @ArrayMaxSize(50) @IsArray() teams!: string[];
  @Matches(ID) @IsString() @ValidateIf((widget: Widget) => widget.calendarId !== null) calendarId!:
    string | null;
  @ValidateNested() @Type(() => PageListInput) pages!: PageListInput;
  @ValidateNested() @Type(() => PlaceInput) place!: PlaceInput;
  @ValidateNested() @Type(() => LauncherInput) launcher!: LauncherInput;
  @ValidateNested() @Type(() => LookInput) look!: LookInput;
  @ValidateNested() @Type(() => BehavioursInput) behaviours!: BehavioursInput;
  @ValidateNested() @Type(() => TimingsInput) timings!: TimingsInput;
  @ValidateNested() @Type(() => TalksInput) talks!: TalksInput;
  @ValidateNested() @Type(() => FormsInput) forms!: FormsInput;
  @Validate(AudienceFits) audience!: Condition[];
  @ArrayUnique(idOf, { message: 'Two invitations have the same id.' })
  @ValidateNested({ each: true })
  @Type(() => InvitationInput)
  @ArrayMaxSize(LIMITS.invitations)
  @IsArray()
  invitations!: InvitationInput[];
  @Validate(TextsFit) texts!: Widget['texts'];
  @ArrayUnique(idOf, { message: 'Two cases have the same id.' })
  @ValidateNested({ each: true })
  @Type(() => OwnCaseInput)
  @ArrayMaxSize(LIMITS.cases)
  @IsArray()
  cases!: OwnCaseInput[];
}

/** A whole design, as the draft holds it: judged anew after every change. */
export class DesignInput implements Design {
  @Equals(1) v!: 1;
  @MaxLength(LIMITS.siteNameChars) @MinLength(1) @IsString() @CleanLine siteName!: string;
  @Matches(LOCALE) @IsString() defaultLocale!: string;
  @ArrayUnique()
  @Matches(LOCALE, { each: true })
  @ArrayMaxSize(LIMITS.locales)
  @ArrayMinSize(1)
  @IsArray()
  locales!: string[];
  @ArrayUnique(idOf, { message: 'Two widgets have the same id.' })
  @ArrayUnique((widget: Widget) => widget.key, { message: 'Two widgets have the same key.' })
  @ValidateNested({ each: true })
  @Type(() => WidgetInput)
  @ArrayMaxSize(LIMITS.widgets)
  @ArrayMinSize(1)
  @IsArray()
  widgets!: WidgetInput[];
  @ValidateNested() @Type(() => LimitsInput) limits!: LimitsInput;
}
