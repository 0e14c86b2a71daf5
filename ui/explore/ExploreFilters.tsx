import { View } from 'react-native';
import { Button, Choices, Toggle } from '../parts';
import { SPACE } from '../theme';
import {
  ALL,
  DIFFICULTY_CHOICES,
  KIND_CHOICES,
  LENGTH_CHOICES,
  narrowing,
  ORDER_CHOICES,
  RUNNER_CHOICES,
  type Filters,
} from './filters';

interface ExploreFiltersProps {
  readonly filters: Filters;
  readonly onChange: (filters: Filters) => void;
}

/** The order of what is found, and what is left out of it. */
export function ExploreFilters({ filters, onChange }: ExploreFiltersProps) {
  const chosen = <Value extends string>(value: Value): Exclude<Value, 'any'> | undefined =>
    value === 'any' ? undefined : (value as Exclude<Value, 'any'>);
  return (
    <View style={{ gap: SPACE.l }}>
      <Choices
        label="Order"
        value={filters.order}
        options={ORDER_CHOICES}
        onChange={(order) => onChange({ ...filters, order })}
      />
      <Choices
        label="Runner"
        value={filters.runner ?? 'any'}
        options={RUNNER_CHOICES}
        onChange={(runner) => onChange({ ...filters, runner: chosen(runner) })}
      />
      <Choices
        label="Kind"
        value={filters.kind ?? 'any'}
        options={KIND_CHOICES}
        onChange={(kind) => onChange({ ...filters, kind: chosen(kind) })}
      />
      <Choices
        label="Length"
        value={filters.length ?? 'any'}
        options={LENGTH_CHOICES}
        onChange={(length) => onChange({ ...filters, length: chosen(length) })}
      />
      <Choices
        label="Difficulty"
        value={filters.difficulty ?? 'any'}
        options={DIFFICULTY_CHOICES}
        onChange={(difficulty) => onChange({ ...filters, difficulty: chosen(difficulty) })}
      />
      <Toggle
        label="Only what I have not finished"
        value={filters.unfinished}
        onChange={(unfinished) => onChange({ ...filters, unfinished })}
      />
      <Toggle
        label="Only of makers I follow"
        value={filters.followed}
        onChange={(followed) => onChange({ ...filters, followed })}
      />
      {narrowing(filters) > 0 && (
        <Button
          title="Show all"
          icon="x"
          onPress={() => onChange({ ...ALL, words: filters.words, order: filters.order })}
        />
      )}
    </View>
  );
}
