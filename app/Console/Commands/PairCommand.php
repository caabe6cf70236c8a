<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\House\Pairing;
use App\Models\Role;
use Illuminate\Console\Command;

/** Prints a code that lets one other machine in the house in. */
final class PairCommand extends Command
{
    protected $signature = 'ridge:pair {--guest : a device that may look and change nothing}';

    protected $description = 'Gives a code for one more phone or computer in the house, good for ten minutes';

    public function handle(Pairing $pairing): int
    {
        $this->line($pairing->begin($this->option('guest') === true ? Role::Guest : Role::Builder));

        return self::SUCCESS;
    }
}
