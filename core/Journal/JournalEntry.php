<?php

declare(strict_types=1);

namespace IdleRidge\Core\Journal;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * What was done, or seen: when (minutes of Unix time), on which section, in words; with the work, the air of the room and what went in.
 * Entries are never changed: what is undone gets an entry against it, and what is added or put right is an entry about it.
 */
final readonly class JournalEntry
{
    /** Characters of what the program writes itself, and of a note. */
    public const MAX_SENTENCE = 500;

    public const MAX_NOTE = 4000;

    public string $sentence;

    /**
     * @param  string|null  $laid uid of the application that it tells of
     * @param  list<array{material: string, amount: float, unit: string}>  $amounts
     * @param  array<string, mixed>  $extra
     * @param  string|null  $about uid of the entry that it adds to
     * @param  string|null  $who what the device is called that it was done on
     * @param  array{run: string, station: float, vehicle: string}|null  $place along a run, station in mm
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public int $at,
        public JournalKind $kind,
        public string $section,
        public ?string $laid,
        string $sentence,
        public ?float $temperature = null,
        public ?float $humidity = null,
        public array $amounts = [],
        public array $extra = [],
        public ?WorkRecord $work = null,
        public ?string $about = null,
        public ?string $who = null,
        public ?Verdict $verdict = null,
        public ?array $place = null,
    ) {
        $most = $kind->isByHand() ? self::MAX_NOTE : self::MAX_SENTENCE;
        $long = mb_strlen(trim($sentence));
        if ($long === 0 && $verdict === null) {
            throw new InvalidValue('An entry needs a sentence.', 'sentence');
        }
        if ($long > $most) {
            throw new InvalidValue("At most {$most} characters; these are {$long}.", 'sentence');
        }
        if ($about === $uid) {
            throw new InvalidValue('An entry is not about itself.', 'about');
        }

        $this->sentence = trim($sentence);
    }
}
