<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Workshop\Files\Pairing;
use Illuminate\Console\Command;

/** Prints a code that lets one other machine in the house in. */
final class PairCommand extends Command
{
    protected $signature = 'ridge:pair';

    protected $description = 'Gives a code for one more phone or computer in the house';

    public function handle(): int
    {
        $this->line(Pairing::begin());

        return self::SUCCESS;
    }
}
