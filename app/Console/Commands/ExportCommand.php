<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Files\LayoutArchive;
use App\Actions\Files\LayoutFiles;
use App\Models\Layout;

final class ExportCommand extends RidgeCommand
{
    protected $signature = 'ridge:export {layout : uid or name} {--out= : file to write; '
        .'without it the file goes to standard output and nothing else does} {--json}';

    protected $description = 'Writes a layout from the database to a file, or to standard output';

    protected function answer(): ?array
    {
        $layout = $this->layout();
        $out = $this->word('out');
        if (str_ends_with($out, '.zip')) {
            $made = app(LayoutArchive::class)->export($layout);
            try {
                $this->put($out, (string) file_get_contents($made));
            } finally {
                unlink($made);
            }

            return ['layout' => $layout->uid, 'name' => $layout->name, 'file' => $out];
        }
        $json = app(LayoutFiles::class)->export($layout);
        if ($out === '') {
            $this->output->write($json);

            return null;
        }
        $this->put($out, $json);

        return ['layout' => $layout->uid, 'name' => $layout->name, 'file' => $out];
    }

    private function layout(): Layout
    {
        $word = $this->file();

        return Layout::query()
            ->whereNull('removed_at')
            ->where(fn ($q) => $q->where('uid', $word)->orWhere('name', $word))
            ->orderByDesc('id')
            ->firstOrFail();
    }
}
