<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Actions\House\Backups;
use DateTimeZone;
use IdleRidge\Core\Measure\Decimal;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** What the page Safe keeping shows: the copies there are, and where the data lies. */
final readonly class ShowBackups
{
    public function __construct(private Backups $backups, private ClockInterface $clock)
    {
    }

    /** @return array<string, mixed> for the view house.keeping */
    public function all(): array
    {
        $zone = new DateTimeZone((string) (DB::table('layouts')->orderBy('id')->value('zone') ?? 'UTC'));
        $now = $this->clock->now();
        $copies = array_map(
            fn (array $copy): array => [
                'name' => $copy['name'],
                'made' => $copy['at']->setTimezone($zone)->format('D j M Y, H:i'),
                'size' => $copy['bytes'] < 100_000 ? ceil($copy['bytes'] / 1000).' kB' : Decimal::fixed($copy['bytes'] / 1e6, 1).' MB',
                'layouts' => $copy['layouts'] === [] ? 'no layout' : implode(', ', $copy['layouts']),
            ],
            $this->backups->all(),
        );
        $newest = $this->backups->all()[0] ?? null;

        return [
            'copies' => $copies,
            'data' => (string) config('database.connections.sqlite.database'),
            'folder' => (string) config('ridge.backups'),
            'old' => $newest === null ? null : intdiv($now->getTimestamp() - $newest['at']->getTimestamp(), 86400),
        ];
    }
}
