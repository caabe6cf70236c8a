<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

use IdleRidge\Core\Measure\Refusal;

/**
 * Hands-on work that is not interrupted: minutes, how many hands, which tools all the while. It starts at `notBefore` or
 * later and, where `allowed` is given, within one of its ranges of starts.
 */
final readonly class Job
{
    /**
     * @param list<string> $tools
     * @param list<array{int, int}>|null $allowed
     */
    private function __construct(public string $id, public int $minutes, public int $hands, public array $tools, public string $section, public int $notBefore, public ?array $allowed)
    {
    }

    /**
     * @param list<string> $tools
     * @param list<array{int, int}>|null $allowed
     *
     * @throws Refusal
     */
    public static function of(string $id, int $minutes, int $hands = 1, array $tools = [], string $section = '', int $notBefore = 0, ?array $allowed = null): self
    {
        if ($id === '') {
            throw new Refusal('A job needs an id.', 'id');
        }
        Refusal::unlessBetween($minutes, 1, 10_080, 'The job’s time', 'min', 'minutes');
        Refusal::unlessBetween($hands, 1, 50, 'The hands of a job', '', 'hands');

        return new self($id, $minutes, $hands, $tools, $section, $notBefore, $allowed);
    }
}
