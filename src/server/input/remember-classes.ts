import { type MetadataStorage, getMetadataStorage } from './validators';

type Metadata = ReturnType<MetadataStorage['getTargetValidationMetadatas']>;
type Grouped = ReturnType<MetadataStorage['groupByPropertyName']>;

/**
 * Looks up once what an input class asks of its fields: class-validator does so for every object it judges, which is a
 * third of its time. Classes are complete when they are loaded, and all of them are judged with the same options.
 */
export function rememberClasses(): void {
  const storage = getMetadataStorage();
  const find = storage.getTargetValidationMetadatas.bind(storage);
  const group = storage.groupByPropertyName.bind(storage);
  const found = new Map<unknown, Metadata>();
  const grouped = new WeakMap<Metadata, Grouped>();
  storage.getTargetValidationMetadatas = (target, ...options) => {
    const known = found.get(target) ?? find(target, ...options);
    found.set(target, known);
    return known;
  };
  storage.groupByPropertyName = (metadata) => {
    const known = grouped.get(metadata) ?? group(metadata);
    grouped.set(metadata, known);
    return known;
  };
}
