<?php

declare(strict_types=1);

namespace App\Actions\House;

use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Measure\InvalidValue;
use Illuminate\Support\Facades\DB;
use PDO;
use PDOException;
use Psr\Clock\ClockInterface;
use ZipArchive;

/** Copies of all that was made here: whole, checked, made while others work. */
final readonly class Backups
{
    public const FORMAT = 'idle-ridge-backup';

    public const SUFFIX = '.ridge-backup.zip';

    private const DAILY = 'ridge-';

    /** So many days, and so many weeks, have their newest copy kept. */
    private const DAYS_KEPT = 7;

    private const WEEKS_KEPT = 4;

    public function __construct(private ClockInterface $clock, private DataVersion $version)
    {
    }

    /**
     * @param  string|null  $to a folder or file; without it among the copies that are kept here, where old ones give way
     * @return string the file
     *
     * @throws InvalidValue when it cannot be written, or what was written is not whole
     */
    public function make(?string $to = null): string
    {
        $name = self::DAILY.$this->clock->now()->format('Y-m-d-His').self::SUFFIX;
        $file = $to === null ? self::folder()."/{$name}" : (is_dir($to) ? rtrim($to, '/')."/{$name}" : $to);
        if (! is_dir(dirname($file)) && ! @mkdir(dirname($file), 0700, true)) {
            throw new InvalidValue('The folder '.dirname($file).' cannot be made.', 'to');
        }
        $copy = "{$file}.sqlite";
        try {
            @unlink($copy);
            DB::connection('sqlite')
                ->getPdo()
                ->exec('VACUUM INTO '.DB::connection('sqlite')->getPdo()->quote($copy));
            $this->pack($copy, "{$file}.part");
            rename("{$file}.part", $file);
            chmod($file, 0600);
        } catch (PDOException $failed) {
            throw new InvalidValue("It could not be written to {$file}: {$failed->getMessage()}.", 'to');
        } finally {
            @unlink($copy);
            @unlink("{$file}.part");
        }
        if ($to === null) {
            $this->prune();
        }

        return $file;
    }

    private function pack(string $copy, string $file): void
    {
        $faults = self::faults($copy);
        if ($faults !== []) {
            throw new InvalidValue('The copy is not whole: '.implode('; ', $faults).'.', 'to');
        }
        $zip = new ZipArchive();
        $manifest = [
            'format' => self::FORMAT,
            'made_at' => $this->clock->now()->format('Y-m-d\TH:i:s\Z'),
            'data' => $this->version->ours(),
            'sha256' => hash_file('sha256', $copy),
            'layouts' => array_column(
                self::rows(self::open($copy), 'select name from layouts where removed_at is null order by id'),
                'name',
            ),
        ];
        $done =
            $zip->open($file, ZipArchive::CREATE | ZipArchive::OVERWRITE) === true &&
            $zip->addFile($copy, 'ridge.sqlite') &&
            $zip->addFromString('manifest.json', json_encode($manifest, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE));
        if (! $done || ! @$zip->close()) {
            throw new InvalidValue("It could not be written to {$file}: is the disk full?", 'to');
        }
    }

    /** @return list<string> what is wrong with a database, by its own checks */
    public static function faults(string $database): array
    {
        try {
            $data = self::open($database);
            $faults = array_diff(array_column(self::rows($data, 'pragma integrity_check'), 'integrity_check'), ['ok']);
            $loose = self::rows($data, 'pragma foreign_key_check');

            return [...array_values($faults), ...$loose === [] ? [] : [count($loose).' rows belong to nothing']];
        } catch (PDOException $broken) {
            return [$broken->getMessage()];
        }
    }

    private static function open(string $database): PDO
    {
        return new PDO(
            "sqlite:{$database}",
            options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION, PDO::ATTR_DEFAULT_FETCH_MODE => PDO::FETCH_ASSOC],
        );
    }

    /** @return list<array<string, mixed>> */
    public static function rows(PDO $data, string $query): array
    {
        $found = $data->query($query);

        return $found === false ? [] : array_values($found->fetchAll(PDO::FETCH_ASSOC));
    }

    /** @return list<array{name: string, at: DateTimeImmutable, bytes: int, layouts: list<string>}> newest first */
    public function all(): array
    {
        $out = [];
        foreach (glob(self::folder().'/*'.self::SUFFIX) ?: [] as $file) {
            $manifest = self::manifest($file);
            if ($manifest !== null) {
                $out[] = [
                    'name' => basename($file),
                    'at' => new DateTimeImmutable($manifest['made_at'], new DateTimeZone('UTC')),
                    'bytes' => (int) filesize($file),
                    'layouts' => $manifest['layouts'],
                ];
            }
        }

        usort($out, fn (array $a, array $b): int => $b['at'] <=> $a['at']);

        return $out;
    }

    /** Whether a day went by since the newest. */
    public function isDue(): bool
    {
        $newest = $this->all()[0]['at'] ?? null;

        return $newest === null || $this->clock->now()->getTimestamp() - $newest->getTimestamp() >= 86_400 - 3_600;
    }

    /** @throws InvalidValue when there is no such copy here */
    public static function path(string $name): string
    {
        $file = self::folder().'/'.basename($name);

        return str_ends_with($name, self::SUFFIX) && is_file($file) ? $file : throw new InvalidValue('There is no such copy here.', 'copy');
    }

    /**
     * @return array{format: string, made_at: string, data: string, sha256: string, layouts: list<string>}|null null when it is no copy of
     *     ours
     */
    public static function manifest(string $file): ?array
    {
        $zip = new ZipArchive();
        if ($zip->open($file) !== true) {
            return null;
        }
        $manifest = json_decode((string) $zip->getFromName('manifest.json', 100_000), true);
        $zip->close();
        $isOurs =
            is_array($manifest) &&
            ($manifest['format'] ?? '') === self::FORMAT &&
            is_string($manifest['made_at'] ?? null) &&
            DateTimeImmutable::createFromFormat('Y-m-d\TH:i:s\Z', $manifest['made_at']) !== false &&
            is_string($manifest['data'] ?? null) &&
            is_string($manifest['sha256'] ?? null) &&
            is_array($manifest['layouts'] ?? null);

        /** @var array{format: string, made_at: string, data: string, sha256: string, layouts: list<string>} $manifest */
        return $isOurs ? $manifest : null;
    }

    private function prune(): void
    {
        $kept = [];
        foreach ($this->daily() as $copy) {
            foreach (['Y-m-d' => self::DAYS_KEPT, 'o-\WW' => self::WEEKS_KEPT] as $span => $most) {
                $key = $copy['at']->format($span);
                if (! isset($kept[$span][$key]) && count($kept[$span] ?? []) < $most) {
                    $kept[$span][$key] = $copy['name'];
                }
            }
        }
        $names = array_merge(...array_map(array_values(...), array_values($kept)));
        foreach ($this->daily() as $copy) {
            if (! in_array($copy['name'], $names, true)) {
                unlink(self::folder().'/'.$copy['name']);
            }
        }
    }

    /**
     * Without what was there before a copy was brought back: that goes only by hand.
     *
     * @return list<array{name: string, at: DateTimeImmutable, bytes: int, layouts: list<string>}>
     */
    private function daily(): array
    {
        return array_values(array_filter($this->all(), fn (array $copy): bool => str_starts_with($copy['name'], self::DAILY)));
    }

    private static function folder(): string
    {
        return (string) config('ridge.backups');
    }
}
