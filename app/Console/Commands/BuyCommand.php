<?php

declare(strict_types=1);

namespace App\Console\Commands;

use IdleRidge\Core\Interchange\BuyFile;
use IdleRidge\Core\Shelf\Purchase;

final class BuyCommand extends RidgeCommand
{
    protected $signature = 'ridge:buy {file : needs and packs as JSON} {--json}';

    protected $description = 'Finds the cheapest packs that cover what is needed, proven';

    protected function answer(): array
    {
        return BuyFile::answer(Purchase::best(BuyFile::read($this->contents($this->file()))));
    }
}
