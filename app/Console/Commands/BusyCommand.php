<?php

declare(strict_types=1);

namespace App\Console\Commands;

use DateTimeZone;
use IdleRidge\Core\Interchange\CalendarFile;
use IdleRidge\Core\Measure\InvalidValue;
use Illuminate\Console\Command;

/** Reads a calendar on standard input and prints its busy hours, or why there are none. */
final class BusyCommand extends Command
{
    protected $signature = 'ridge:busy {--zone=UTC} {--from= : minutes of Unix time} {--days=84}';

    protected $description = 'Reads a calendar on standard input: {"hours": [{date, from, to}]} or {"fault": "…"}';

    protected $hidden = true;

    public function handle(): int
    {
        try {
            $answer = [
                'hours' => CalendarFile::busy(
                    (string) stream_get_contents(STDIN),
                    new DateTimeZone((string) $this->option('zone')),
                    (int) $this->option('from'),
                    (int) $this->option('days'),
                ),
            ];
        } catch (InvalidValue $refusal) {
            $answer = ['fault' => $refusal->getMessage()];
        }
        $this->output->write(json_encode($answer, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE | JSON_UNESCAPED_UNICODE));

        return self::SUCCESS;
    }
}
