/** The page of each calculator, by the name of its file: `LeakSize` is `leak-size`. Each comes only when it is opened. */
import { type ComponentType, Suspense, createElement, lazy } from 'react';
import type { CalculatorName } from '../../record/calculators';

const FILES = import.meta.glob<{ default: ComponentType }>('./pages/*.tsx');

const nameOf = (path: string): string =>
  path
    .replace(/^.*\/|\.tsx$/g, '')
    .replace(/(?<=[a-z])[A-Z]/g, (letter) => `-${letter}`)
    .toLowerCase();

const PAGES = new Map(Object.entries(FILES).map(([path, load]) => [nameOf(path), lazy(load)]));

export function calculatorPage(name: CalculatorName): ComponentType {
  const page = PAGES.get(name);
  if (!page) throw new Error(`The calculator ${name} has no page: add its file to calculators/pages.`);
  return page;
}

/** A calculator by its name. */
export const CalculatorPage = ({ name }: { name: CalculatorName }) => (
  <Suspense fallback={<div aria-busy="true" className="min-h-screen" />}>
    {createElement(calculatorPage(name), { key: name })}
  </Suspense>
);
