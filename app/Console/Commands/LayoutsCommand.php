<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Layout;
use Illuminate\Console\Command;

final class LayoutsCommand extends Command
{
    protected $signature = 'ridge:layouts';

    protected $description = 'Lists the layouts in the database, uid and name';

    public function handle(): int
    {
        foreach (Layout::query()->orderBy('id')->get() as $layout) {
            $this->line("{$layout->uid}  {$layout->name}".($layout->removed_at === null ? '' : '  (put away)'));
        }

        return self::SUCCESS;
    }
}
