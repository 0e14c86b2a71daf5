import { useCallback, useEffect, useRef, useState } from 'react';
import { parseExpression } from '@/core/edit';

interface Entry {
  readonly value: number;
  readonly step: number;
  readonly onChange: (value: number) => void;
  readonly mixed?: boolean;
  readonly onStep?: (by: number) => void;
  readonly subject?: string;
}

/** What is typed of a number until it is taken, and what was wrong with it. */
export function useNumberEntry({ value, step, onChange, mixed, onStep, subject }: Entry) {
  const [typed, setTyped] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [whose, setWhose] = useState(subject);
  if (whose !== subject) {
    setWhose(subject);
    setTyped(null);
    setError(null);
  }
  const take = (set: () => void) => {
    try {
      set();
      setError(null);
      setTyped(null);
    } catch (problem) {
      if (!(problem instanceof RangeError)) throw problem;
      setError(problem.message);
    }
  };
  const stepBy = (by: number) => take(() => (onStep ? onStep(by) : onChange(value + by)));
  // The two buttons stay as they are whatever the value is.
  const latest = useRef(stepBy);
  useEffect(() => {
    latest.current = stepBy;
  });
  return {
    typed,
    error,
    type: (text: string) => {
      setTyped(text);
      setError(null);
    },
    finish: () => {
      if (typed === null) return;
      // What was only looked at is not set for all.
      if (mixed && typed === '') setTyped(null);
      else take(() => onChange(parseExpression(typed)));
    },
    less: useCallback(() => latest.current(-step), [step]),
    more: useCallback(() => latest.current(step), [step]),
  };
}
