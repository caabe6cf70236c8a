<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Workshop\Air\ReadRooms;
use Illuminate\Console\Command;

/** Reads the loggers of all rooms, once or every few minutes until it is stopped. */
final class ListenCommand extends Command
{
    protected $signature = 'ridge:listen {--every=0 : minutes between two rounds; 0 for one round}';

    protected $description = 'Reads the loggers of rooms';

    public function handle(ReadRooms $read): int
    {
        $every = max(0, (int) $this->option('every'));
        do {
            foreach ($read->listenAll() as $fault) {
                $this->getOutput()->getErrorStyle()->writeln($fault);
            }
            if ($every > 0) {
                sleep(60 * $every);
            }
        } while ($every > 0);

        return self::SUCCESS;
    }
}
