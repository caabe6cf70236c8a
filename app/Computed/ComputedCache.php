<?php

declare(strict_types=1);

namespace App\Computed;

use ArrayObject;
use IdleRidge\Core\Measure\UnitsInUse;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;
use WeakMap;
use WeakReference;

/**
 * What was computed, under a fingerprint of all it depends on: unchanged input is never computed again, changed input never
 * shows an old answer, and neither does a changed program. What nobody asked for in a while goes, and the oldest where it gets
 * too much.
 */
final class ComputedCache
{
    public const MAX_AGE_DAYS = 7;

    public const MAX_BYTES = 400_000_000;

    /** How often it is looked at whether there is too much, seconds. */
    private const PRUNE_EVERY_SECONDS = 3600;

    private const SWEPT = '.swept';

    /** So many are noted before those that are gone are struck off. */
    private const MAX_IN_USE = 1000;

    private ?string $build = null;

    /** @var WeakMap<object, string>|null what stands here → under which fingerprint */
    private ?WeakMap $known = null;

    /** @var array<string, WeakReference<object>> what was taken from here, as long as it is in use */
    private array $inUse = [];

    /** @var WeakMap<object, ArrayObject<string, string>>|null whole → fingerprints of its parts */
    private ?WeakMap $parts = null;

    /** @var array<string, ArrayObject<string, string>> fingerprint of a whole that stands here → those of its parts, some of them new */
    private array $unsaved = [];

    public function __construct(private readonly string $core, private readonly string $folder)
    {
    }

    /**
     * Of values by all their fields, private ones included, of the program that computes with them and of the units it speaks in. What was
     * taken from here stands for itself by what it was taken under.
     */
    public function fingerprint(mixed ...$inputs): string
    {
        $inputs = array_map(fn (mixed $one): mixed => is_object($one) ? $this->known[$one] ?? $one : $one, $inputs);

        return sha1($this->build().UnitsInUse::current()->value.serialize($inputs));
    }

    /**
     * The fingerprint of a part of a whole that stays as it is: worked out when it is first asked for, and kept beside a whole that was
     * taken from here.
     *
     * @param  string  $part names it within its whole
     * @param  callable(): list<mixed>  $inputs
     */
    public function fingerprintOf(object $whole, string $part, callable $inputs): string
    {
        $this->parts ??= new WeakMap();
        $under = $this->known[$whole] ?? null;
        $parts = $this->parts[$whole] ??= $this->unsaved[$under ?? ''] ?? $this->savedParts($under);
        $key = UnitsInUse::current()->value." {$part}";
        if (! isset($parts[$key])) {
            $parts[$key] = $this->fingerprint(...$inputs());
            if ($under !== null) {
                $this->unsaved[$under] = $parts;
            }
        }

        return $parts[$key];
    }

    /** @return ArrayObject<string, string> */
    private function savedParts(?string $under): ArrayObject
    {
        /** @var array<string, string> $kept */
        $kept = $under === null ? [] : $this->get('parts', $under) ?? [];

        return new ArrayObject($kept);
    }

    /** Keeps the fingerprints that were worked out since it was last done. */
    public function saveParts(): void
    {
        foreach ($this->unsaved as $under => $parts) {
            $this->put('parts', $under, $parts->getArrayCopy());
        }
        $this->unsaved = [];
    }

    /**
     * @template T
     *
     * @param  string  $kind what it is; T alone stands under it
     * @param  callable(): T  $compute
     * @return T
     */
    public function remember(string $kind, string $fingerprint, callable $compute): mixed
    {
        $key = "{$kind}-{$fingerprint}";
        $kept = ($this->inUse[$key] ?? null)?->get() ?? $this->get($kind, $fingerprint);
        if ($kept === null) {
            $kept = $compute();
            $this->put($kind, $fingerprint, $kept);
        }
        if (is_object($kept)) {
            if (count($this->inUse) > self::MAX_IN_USE) {
                $this->inUse = array_filter($this->inUse, fn (WeakReference $one): bool => $one->get() !== null);
            }
            $this->inUse[$key] = WeakReference::create($kept);
            $this->known ??= new WeakMap();
            $this->known[$kept] = $key;
        }

        return $kept;
    }

    public function get(string $kind, string $fingerprint): mixed
    {
        return $this->store()->get("{$kind}-{$fingerprint}");
    }

    public function put(string $kind, string $fingerprint, mixed $value): void
    {
        unset($this->inUse["{$kind}-{$fingerprint}"]);
        $this->store()->put("{$kind}-{$fingerprint}", $value, 86400 * self::MAX_AGE_DAYS);
        $this->pruneNowAndThen();
    }

    public function forget(string $kind, string $fingerprint): void
    {
        unset($this->inUse["{$kind}-{$fingerprint}"]);
        $this->store()->forget("{$kind}-{$fingerprint}");
    }

    /**
     * Removes what is older than its days, then the oldest until what is left is no more than so much.
     *
     * @param  int  $now seconds of Unix time, as files are dated
     * @return int files removed
     */
    public function prune(int $now, int $maxBytes = self::MAX_BYTES): int
    {
        $kept = [];
        $removed = 0;
        foreach (self::files($this->folder) as $file) {
            if ($file->getFilename() === self::SWEPT) {
                continue;
            }
            if ($file->getMTime() < $now - 86400 * self::MAX_AGE_DAYS) {
                $removed += (int) @unlink($file->getPathname());
            } else {
                $kept[] = [$file->getMTime(), $file->getPathname(), $file->getSize()];
            }
        }
        sort($kept);
        $bytes = array_sum(array_column($kept, 2));
        foreach ($kept as [, $path, $size]) {
            if ($bytes <= $maxBytes) {
                break;
            }
            $removed += (int) @unlink($path);
            $bytes -= $size;
        }

        return $removed;
    }

    private function pruneNowAndThen(): void
    {
        $swept = $this->folder.'/'.self::SWEPT;
        // Both moments are those of the file system, which may be another machine's.
        $written = @filemtime($this->folder) ?: 0;
        if ($written - (@filemtime($swept) ?: 0) > self::PRUNE_EVERY_SECONDS && @touch($swept)) {
            $this->prune((int) filemtime($swept));
        }
    }

    /** Changes whenever the code that computes does. */
    private function build(): string
    {
        if ($this->build === null) {
            $parts = '';
            foreach ([$this->core, __DIR__] as $folder) {
                foreach (self::files($folder) as $file) {
                    $parts .= $file->getPathname().$file->getMTime().'/'.$file->getSize();
                }
            }
            $this->build = sha1($parts);
        }

        return $this->build;
    }

    /** @return iterable<SplFileInfo> */
    private static function files(string $folder): iterable
    {
        return is_dir($folder)
            ? new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, RecursiveDirectoryIterator::SKIP_DOTS))
            : [];
    }

    private function store(): Repository
    {
        return Cache::store('computed');
    }
}
