<?php

declare(strict_types=1);

namespace App\Actions\House;

use App\Computed\Clock\UlidGenerator;
use App\Models\Layout;
use App\Models\Revision;
use IdleRidge\Core\Measure\InvalidValue;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Throwable;
use ZipArchive;

/** Brings back all that a copy holds, in the place of all that is here; what is here is copied first. Others may go on looking. */
final readonly class RestoreBackup
{
    /** Of the house, not of what was made in it. */
    private const TABLES_THAT_STAY = ['migrations', 'devices', 'sqlite_sequence'];

    /** The index of the journal's words keeps itself as its entries come and go. */
    private const TABLES =
        "select name from restored.sqlite_master where type = 'table' and name not like 'sqlite_%' and name not like 'journal_words%'";

    private const MAX_BYTES = 2_000_000_000;

    public function __construct(
        private Backups $backups,
        private DataVersion $version,
        private ClockInterface $clock,
        private UlidGenerator $uids,
    ) {
    }

    /**
     * @return string the copy of what was here before
     *
     * @throws InvalidValue when it is no copy, not whole, or of a newer version; nothing is changed then
     */
    public function from(string $file): string
    {
        $manifest = Backups::manifest($file) ?? throw new InvalidValue('That is no copy made by Idle Ridge.', 'copy');
        $data = $this->unpacked($file, $manifest['sha256']);
        try {
            $this->fitted($data);
            $before = $this->backups->make(
                config('ridge.backups').'/before-'.$this->clock->now()->format('Y-m-d-His').Backups::SUFFIX,
            );
            $this->exchange($data, $manifest['made_at']);

            return $before;
        } finally {
            DB::purge('restored');
            foreach (['', '-wal', '-shm'] as $end) {
                @unlink($data.$end);
            }
        }
    }

    private function unpacked(string $file, string $hash): string
    {
        $zip = new ZipArchive();
        $zip->open($file);
        $size = $zip->statName('ridge.sqlite')['size'] ?? 0;
        $from = $size > 0 && $size < self::MAX_BYTES ? $zip->getStream('ridge.sqlite') : false;
        $data = (string) tempnam(sys_get_temp_dir(), 'ridge');
        if ($from === false || file_put_contents($data, $from) !== $size || hash_file('sha256', $data) !== $hash) {
            @unlink($data);
            throw new InvalidValue('The copy is not whole: it was cut off or changed.', 'copy');
        }

        return $data;
    }

    /** Brings the copy to the form of this program. */
    private function fitted(string $data): void
    {
        $faults = Backups::faults($data);
        if ($faults !== []) {
            throw new InvalidValue('The copy is not whole: '.implode('; ', array_slice($faults, 0, 3)).'.', 'copy');
        }
        config(['database.connections.restored' => ['database' => $data] + config('database.connections.sqlite')]);
        if ($this->version->unknown('restored') !== []) {
            throw new InvalidValue('The copy was made by a newer version of Idle Ridge. Bring this machine’s up to date first.', 'copy');
        }
        try {
            Artisan::call('migrate', ['--database' => 'restored', '--force' => true]);
        } catch (Throwable $failed) {
            throw new InvalidValue("The copy could not be brought to today’s form: {$failed->getMessage()}", 'copy');
        }
        DB::purge('restored');
    }

    private function exchange(string $data, string $madeAt): void
    {
        $here = DB::connection('sqlite');
        $pdo = $here->getPdo();
        $pdo->exec('ATTACH '.$pdo->quote($data).' AS restored');
        $pdo->exec('PRAGMA foreign_keys = OFF');
        try {
            $here->transaction(function () use ($pdo, $madeAt): void {
                $tables = array_column(
                    Backups::rows($pdo, self::TABLES),
                    'name',
                );
                foreach (array_diff($tables, self::TABLES_THAT_STAY) as $table) {
                    $columns = implode(
                        ', ',
                        array_map(
                            fn (string $c): string => "\"{$c}\"",
                            array_column(Backups::rows($pdo, "select name from pragma_table_info('{$table}')"), 'name'),
                        ),
                    );
                    $pdo->exec("DELETE FROM main.\"{$table}\"");
                    $pdo->exec("INSERT INTO main.\"{$table}\" ({$columns}) SELECT {$columns} FROM restored.\"{$table}\"");
                }
                foreach (Layout::query()->get() as $layout) {
                    Revision::query()->create([
                        'uid' => $this->uids->next(),
                        'layout_id' => $layout->id,
                        'kind' => 'restore',
                        'sentence' => 'Brought back from the copy of '.substr($madeAt, 0, 10),
                        'changes' => [],
                        'made_at' => $this->clock->now()->format('Y-m-d H:i:s'),
                    ]);
                }
            });
        } finally {
            $pdo->exec('PRAGMA foreign_keys = ON');
            $pdo->exec('DETACH restored');
        }
    }
}
