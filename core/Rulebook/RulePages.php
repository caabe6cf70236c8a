<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook;

use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Rulebook\Cuts\CutRule;
use IdleRidge\Core\Rulebook\Growth\GrowthRule;
use IdleRidge\Core\Rulebook\Land\LandRule;
use IdleRidge\Core\Rulebook\Water\WaterRule;
use IdleRidge\Core\Rulebook\Work\WorkRule;

/** The rule book to read: each thing that rules find, in plain words and with its reason, by chapter. */
final readonly class RulePages
{
    public const CHAPTERS = [
        'land' => 'Land and track',
        'order' => 'What goes on before what',
        'dry' => 'What has to be dry',
        'coats' => 'How it is laid',
        'growth' => 'What grows and stands along lines',
        'water' => 'Water',
        'cuts' => 'How it is cut and carried',
        'shelf' => 'What is in store',
    ];

    /** @param  list<array{id: string, name: string, what: string, why: string, chapter: string}>  $rules */
    private function __construct(public array $rules)
    {
    }

    /**
     * @param  list<array{id: string, name: string, what: string, why: string, chapter: string}>  $rules
     *
     * @throws InvalidValue when a rule is not told, told twice, or told and not there
     */
    public static function of(array $rules): self
    {
        $told = array_column($rules, 'id');
        $there = array_merge(
            ...array_map(fn (LandRule|WorkRule|CutRule|GrowthRule|WaterRule $rule): array => $rule->ids(), [
                ...Rulebook::rules(),
                ...Rulebook::workRules(),
                ...Rulebook::cutRules(),
                ...Rulebook::growthRules(),
                ...Rulebook::waterRules(),
            ]),
        );
        foreach (
            [
                ...array_diff($there, $told),
                ...array_diff($told, $there),
                ...array_keys(array_filter(array_count_values($told), fn (int $n): bool => $n > 1)),
            ] as $id
        ) {
            throw new InvalidValue("The rule “{$id}” has to be told once.", (string) $id);
        }

        return new self(array_map(fn (array $rule): array => array_map(Format::sentence(...), $rule), $rules));
    }

    /** @return list<array{id: string, name: string, what: string, why: string, chapter: string}> */
    public function chapter(string $key): array
    {
        return array_values(array_filter($this->rules, fn (array $r): bool => $r['chapter'] === $key));
    }

    /** What a finding is called in the rule book. */
    public function name(string $id): string
    {
        return array_column($this->rules, 'name', 'id')[$id] ?? $id;
    }
}
