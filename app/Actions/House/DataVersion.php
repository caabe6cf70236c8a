<?php

declare(strict_types=1);

namespace App\Actions\House;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Which version of the program the data was last written by, told by the steps that were taken to its present form. */
final class DataVersion
{
    /** @var list<string> */
    private readonly array $known;

    public function __construct()
    {
        $this->known = array_map(fn (string $file): string => basename($file, '.php'), glob(database_path('migrations/*.php')) ?: []);
    }

    /** The newest form that this program knows. */
    public function ours(): string
    {
        return $this->known[count($this->known) - 1] ?? '';
    }

    /** @return list<string> steps of the data that this program does not know: a newer one wrote it */
    public function unknown(string $connection = 'sqlite'): array
    {
        if (! Schema::connection($connection)->hasTable('migrations')) {
            return [];
        }

        return array_values(
            array_map('strval', array_diff(DB::connection($connection)->table('migrations')->pluck('migration')->all(), $this->known)),
        );
    }

    /** Whether the data has still to be brought to the form of this program. */
    public function isOlder(): bool
    {
        return Schema::hasTable('migrations') && array_diff($this->known, DB::table('migrations')->pluck('migration')->all()) !== [];
    }
}
