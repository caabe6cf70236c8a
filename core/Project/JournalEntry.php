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
    public const KINDS = ['done', 'stopped', 'still wet', 'dry', 'undone', 'done again', 'stripped', 'poured away'];

    public string $sentence;

    /**
     * @param  list<array{material: string, amount: float, unit: string}>  $amounts
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public int $at,
        public string $kind,
        public string $section,
        public ?string $laid,
        string $sentence,
        public ?float $temperature = null,
        public ?float $humidity = null,
        public array $amounts = [],
        public array $extra = [],
    ) {
        if (! in_array($kind, self::KINDS, true)) {
            throw new InvalidValue('An entry is one of '.implode(', ', self::KINDS).'.', 'kind');
        }
        if (trim($sentence) === '' || mb_strlen($sentence) > 500) {
            throw new InvalidValue('An entry needs a sentence of 1 to 500 characters.', 'sentence');
        }

        $this->sentence = trim($sentence);
    }
}
