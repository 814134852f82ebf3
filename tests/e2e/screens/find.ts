import type { Locator, Page } from '@playwright/test';

/** Where a control is looked for: a whole page, or a part of one. */
export type Scope = Page | Locator;
/** Finds a control within a scope. Stories say which control; the files beside this one say by which words. */
export type Find = (within: Scope) => Locator;

type Words = string | RegExp;
type Options = Omit<NonNullable<Parameters<Page['getByRole']>[1]>, 'name'>;
type ByRole = (name: Words, options?: Options) => Find;

const byRole =
  (role: Parameters<Page['getByRole']>[0]): ByRole =>
  (name, options) =>
  (within) =>
    within.getByRole(role, { name, ...options });

export const button = byRole('button');
export const checkbox = byRole('checkbox');
export const combobox = byRole('combobox');
export const complementary = byRole('complementary');
export const dialog = byRole('dialog');
export const form = byRole('form');
export const group = byRole('group');
export const heading = byRole('heading');
export const link = byRole('link');
export const list = byRole('list');
export const listitem = byRole('listitem');
export const log = byRole('log');
export const menuitem = byRole('menuitem');
export const menuitemradio = byRole('menuitemradio');
export const navigation = byRole('navigation');
export const option = byRole('option');
export const radio = byRole('radio');
export const radiogroup = byRole('radiogroup');
export const region = byRole('region');
export const slider = byRole('slider');
export const status = byRole('status');
export const switchControl = byRole('switch');
export const tab = byRole('tab');
export const textbox = byRole('textbox');

export const label =
  (words: Words, options?: { exact: boolean }): Find =>
  (within) =>
    within.getByLabel(words, options);
export const text =
  (words: Words, options?: { exact: boolean }): Find =>
  (within) =>
    within.getByText(words, options);
export const placeholder =
  (words: Words): Find =>
  (within) =>
    within.getByPlaceholder(words);
