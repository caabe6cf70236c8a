<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * Hands-on work that is not interrupted: minutes, how many hands, which tools all the while, and which of them it keeps
 * afterwards until a gap is over (clamps, a warm box). It starts at `notBefore` or later and, where `allowed` is given, within
 * one of its ranges of starts; it should end by `due`. What must not overlap it must not begin within `clear` minutes of its end. `group`
 * says whose turn it is where work is done group by group.
 */
final readonly class Job
{
    /** @var list<string> */
    public array $tools;

    /**
     * @param  list<string>  $tools
     * @param  list<array{int, int}>|null  $allowed
     * @param  array<string, TimeLag>  $holds tool → until when it is kept
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $id,
        public int $minutes,
        public int $demand = 1,
        array $tools = [],
        public string $section = '',
        public int $notBefore = 0,
        public ?array $allowed = null,
        public ?int $due = null,
        public array $holds = [],
        public int $group = 0,
        public int $clear = 0,
    ) {
        if ($id === '') {
            throw new InvalidValue('A job needs an id.', 'id');
        }
        InvalidValue::unlessBetween($minutes, 1, 10_080, 'The job’s time', 'min', 'minutes');
        InvalidValue::unlessBetween($demand, 1, 50, 'The hands of a job', '', 'hands');
        InvalidValue::unlessBetween($group, 0, 1000, 'The turn', '', 'group');
        $this->tools = array_values(array_unique([...$tools, ...array_keys($holds)]));
    }
}
