<?php

declare(strict_types=1);

namespace IdleRidge\Core\Journal;

use IdleRidge\Core\Measure\InvalidValue;

/** What was found when something was looked at. The newest of a key is what stands. */
final readonly class CheckResult
{
    public const MAX_MEND_MINUTES = 600;

    public string $note;

    /**
     * @param  string  $key which check, by what it asks and of what
     * @param  string  $asks as it was asked then
     * @param  int  $minutes to put right what is not
     * @param  list<string>  $holds coats (uid) that are not gone on with before it is right
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public int $at,
        public string $key,
        public string $section,
        public CheckAnswer $answer,
        public string $asks,
        string $note = '',
        public int $minutes = 0,
        public array $holds = [],
        public array $extra = [],
    ) {
        if ($key === '' || strlen($key) > 160) {
            throw new InvalidValue('A check has a key of 1 to 160 characters.', 'key');
        }
        if (trim($asks) === '' || mb_strlen($asks) > 300) {
            throw new InvalidValue('A check asks in 1 to 300 characters.', 'asks');
        }
        if (mb_strlen(trim($note)) > JournalEntry::MAX_SENTENCE - 300) {
            throw new InvalidValue('At most '.(JournalEntry::MAX_SENTENCE - 300).' characters.', 'note');
        }
        InvalidValue::unlessBetween($minutes, 0, self::MAX_MEND_MINUTES, 'Putting it right', 'min', 'minutes');
        $this->note = trim($note);
    }

    /**
     * @param  list<self>  $all in the order in which they were said; of one minute the last counts
     * @return array<string, self> key → the newest
     */
    public static function standing(array $all): array
    {
        usort($all, fn (self $a, self $b): int => $a->at <=> $b->at);

        return array_column(array_map(fn (self $r): array => [$r->key, $r], $all), 1, 0);
    }
}
