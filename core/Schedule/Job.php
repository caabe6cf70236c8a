<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

use IdleRidge\Core\Measure\Refusal;

/** Hands-on work that is not interrupted: minutes, how many hands, which tools all the while. */
final readonly class Job
{
    /** @param  list<string>  $tools */
    private function __construct(public string $id, public int $minutes, public int $hands, public array $tools, public string $section)
    {
    }

    /**
     * @param list<string> $tools
     *
     * @throws Refusal
     */
    public static function of(string $id, int $minutes, int $hands = 1, array $tools = [], string $section = ''): self
    {
        if ($id === '') {
            throw new Refusal('A job needs an id.', 'id');
        }
        Refusal::unlessBetween($minutes, 1, 10_080, 'The job’s time', 'min', 'minutes');
        Refusal::unlessBetween($hands, 1, 50, 'The hands of a job', '', 'hands');

        return new self($id, $minutes, $hands, $tools, $section);
    }
}
