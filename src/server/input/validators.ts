import 'reflect-metadata';

// The one place decorators come from: reflect-metadata is loaded before any input class is.
export * from 'class-validator';
export { Type, Transform } from 'class-transformer';
