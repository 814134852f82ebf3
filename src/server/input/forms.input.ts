import { LIMITS } from '../../core/limits';
import type { Forms } from '../../core/model/design';
import {
  FIELD_KINDS,
  type Field,
  type FieldKind,
  type FieldOption,
  type FieldWords,
} from '../../core/model/form';
import type { CaseKey } from '../../core/model/text-keys';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsNumber,
  IsString,
  Matches,
  MaxLength,
  MinLength,
  Type,
  Validate,
  ValidateIf,
  ValidateNested,
} from './validators';
import { ID, KnownKey, wordsFit } from './shared.input';

class FieldWordsInput implements FieldWords {
  @Validate(wordsFit(LIMITS.fieldLabelChars)) label!: Record<string, string>;
  @Validate(wordsFit(LIMITS.fieldHelpChars)) help!: Record<string, string>;
}

class FieldOptionInput implements FieldOption {
  @MaxLength(LIMITS.fieldLabelChars) @MinLength(1) @IsString() value!: string;
  @Validate(wordsFit(LIMITS.fieldLabelChars)) label!: Record<string, string>;
}

class ShownIfInput {
  @Matches(ID) @IsString() field!: string;
  @MaxLength(LIMITS.fieldLabelChars) @IsString() is!: string;
}

class FieldInput implements Field {
  @Matches(ID) @IsString() id!: string;
  @IsIn(FIELD_KINDS) kind!: FieldKind;
  @Validate(KnownKey) @ValidateIf((field: Field) => field.label !== null) label!: CaseKey | null;
  @ValidateNested()
  @Type(() => FieldWordsInput)
  @ValidateIf((field: Field) => field.own !== null)
  own!: FieldWordsInput | null;
  @IsBoolean() isRequired!: boolean;
  @IsNumber() @ValidateIf((field: Field) => field.least !== null) least!: number | null;
  @IsNumber() @ValidateIf((field: Field) => field.most !== null) most!: number | null;
  @ArrayUnique((one: FieldOption) => one.value, { message: 'Two of the choices are the same.' })
  @ValidateNested({ each: true })
  @Type(() => FieldOptionInput)
  @ArrayMaxSize(LIMITS.fieldOptions)
  @IsArray()
  options!: FieldOptionInput[];
  @IsBoolean() asButtons!: boolean;
  @ValidateNested()
  @Type(() => ShownIfInput)
  @ValidateIf((field: Field) => field.shownIf !== null)
  shownIf!: ShownIfInput | null;
  @IsBoolean() isKept!: boolean;
  @MaxLength(LIMITS.pageAddressChars)
  @Matches(/^https?:\/\//i, { message: 'Begin the address with https://.' })
  @IsString()
  @ValidateIf((field: Field) => field.link !== null)
  link!: string | null;
  @MaxLength(LIMITS.attributeNameChars)
  @IsString()
  @ValidateIf((field: Field) => field.attribute !== null)
  attribute!: string | null;
}

export class FormsInput implements Forms {
  @ArrayUnique((one: Field) => one.id, { message: 'Two fields have the same id.' })
  @ValidateNested({ each: true })
  @Type(() => FieldInput)
  @ArrayMaxSize(LIMITS.fields)
  @IsArray()
  before!: FieldInput[];
  @ArrayUnique((one: Field) => one.id, { message: 'Two fields have the same id.' })
  @ValidateNested({ each: true })
  @Type(() => FieldInput)
  @ArrayMaxSize(LIMITS.fields)
  @IsArray()
  note!: FieldInput[];
  @ArrayUnique((one: Field) => one.id, { message: 'Two fields have the same id.' })
  @ValidateNested({ each: true })
  @Type(() => FieldInput)
  @ArrayMaxSize(LIMITS.fields)
  @IsArray()
  after!: FieldInput[];
}
