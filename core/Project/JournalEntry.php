<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * What was done, or seen: when (minutes of Unix time), on which section, zone and coat, in one sentence; with the air of the
 * room and what went in. Entries are never changed: what is undone gets an entry against it.
 */
final readonly class JournalEntry
{
    public const KINDS = ['done', 'stopped', 'still wet', 'dry', 'undone', 'done again'];

    /**
     * @param list<array{material: string, amount: float, unit: string}> $amounts
     * @param array<string, mixed> $extra
     */
    private function __construct(
        public string $uid,
        public int $at,
        public string $kind,
        public string $section,
        public ?string $laid,
        public string $sentence,
        public ?float $temperature,
        public ?float $humidity,
        public array $amounts,
        public array $extra,
    ) {
    }

    /**
     * @param list<array{material: string, amount: float, unit: string}> $amounts
     * @param array<string, mixed> $extra
     *
     * @throws InvalidValue
     */
    public static function of(string $uid, int $at, string $kind, string $section, ?string $laid, string $sentence, ?float $temperature = null, ?float $humidity = null, array $amounts = [], array $extra = []): self
    {
        if (! in_array($kind, self::KINDS, true)) {
            throw new InvalidValue('An entry is one of '.implode(', ', self::KINDS).'.', 'kind');
        }
        if (trim($sentence) === '' || mb_strlen($sentence) > 500) {
            throw new InvalidValue('An entry needs a sentence of 1 to 500 characters.', 'sentence');
        }

        return new self($uid, $at, $kind, $section, $laid, trim($sentence), $temperature, $humidity, $amounts, $extra);
    }
}
