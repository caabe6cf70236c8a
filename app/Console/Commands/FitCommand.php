<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\House\Backups;
use App\Actions\House\DataVersion;
use Illuminate\Console\Command;

/** Says whether this program can work with the data that lies here; before an older form of it is changed, it is copied. */
final class FitCommand extends Command
{
    protected $signature = 'ridge:fit';

    protected $description = 'Refuses data of a newer version; copies data of an older one before it is brought up to date';

    public function handle(DataVersion $version, Backups $backups): int
    {
        if ($version->unknown() !== []) {
            $this->getOutput()
                ->getErrorStyle()
                ->writeln('The data here was written by a newer version of Idle Ridge. Bring the program up to date; nothing was changed.');

            return 1;
        }
        if ($version->isOlder()) {
            $this->line('Copied before it is brought up to date: '.$backups->make());
        }

        return self::SUCCESS;
    }
}
