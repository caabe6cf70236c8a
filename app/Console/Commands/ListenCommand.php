<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Air\ImportReadings;
use Illuminate\Console\Command;

/** Reads the loggers of all rooms; the scheduler calls it every ten minutes. */
final class ListenCommand extends Command
{
    protected $signature = 'ridge:listen';

    protected $description = 'Reads the loggers of rooms';

    public function handle(ImportReadings $read): int
    {
        foreach ($read->listenAll() as $fault) {
            $this->getOutput()->getErrorStyle()->writeln($fault);
        }

        return self::SUCCESS;
    }
}
