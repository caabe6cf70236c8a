<?php

declare(strict_types=1);

namespace App\Actions\House;

use App\Computed\Clock\UlidGenerator;
use App\Models\Device;
use App\Models\Role;
use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Words;
use Illuminate\Support\Facades\Cache;
use Psr\Clock\ClockInterface;

/** The devices that were let in: each by a secret of its own, which it shows with every request. */
final readonly class Devices
{
    public const COOKIE = 'device';

    public const COOKIE_MINUTES = 60 * 24 * 365;

    private const MAX_NAME_LENGTH = 40;

    private const SEEN_DAYS = 400;

    public function __construct(private ClockInterface $clock, private UlidGenerator $uids, private Pairing $pairing)
    {
    }

    /**
     * @return string what the device shows from now on
     *
     * @throws InvalidValue as the code is refused
     */
    public function pair(string $code, string $name, string $address): string
    {
        $name = trim(Words::plain($name));
        $role = $this->pairing->with($code, $address);
        $secret = bin2hex(random_bytes(24));
        $device = Device::query()->create([
            'uid' => $this->uids->next(),
            'name' => mb_substr($name === '' ? 'A device' : $name, 0, self::MAX_NAME_LENGTH),
            'secret_hash' => hash('sha256', $secret),
            'role' => $role,
            'paired_at' => $this->clock->now()->format('Y-m-d H:i:s'),
        ]);
        $this->saw($device);

        return "{$device->uid}|{$secret}";
    }

    /** @return Role|null null when it was not let in, or that was taken back */
    public function roleOf(string $shown): ?Role
    {
        [$uid, $secret] = explode('|', $shown, 2) + ['', ''];
        $device = Device::query()->where('uid', $uid)->first();
        if ($device === null || ! hash_equals($device->secret_hash, hash('sha256', $secret))) {
            return null;
        }
        $this->saw($device);

        return $device->role;
    }

    /** What the device that shows this is called; empty for one that was not let in. */
    public function nameOf(string $shown): string
    {
        return (string) Device::query()->where('uid', strtok($shown, '|'))->value('name');
    }

    public function takeBack(string $uid): ?string
    {
        $device = Device::query()->where('uid', $uid)->first();
        $device?->delete();

        return $device?->name;
    }

    /** @return list<array{uid: string, name: string, role: Role, paired: string, seen: string}> newest first; how long ago */
    public function all(): array
    {
        $now = $this->clock->now()->getTimestamp();
        $rows = Device::query()
            ->orderByDesc('id')
            ->get()
            ->map(function (Device $d) use ($now): array {
                $paired = (new DateTimeImmutable($d->paired_at, new DateTimeZone('UTC')))->getTimestamp();

                return [
                    'uid' => $d->uid,
                    'name' => $d->name,
                    'role' => $d->role,
                    'paired' => self::ago($now - $paired),
                    'seen' => self::ago($now - (int) Cache::get("device-{$d->uid}", $paired)),
                ];
            });

        return array_values($rows->all());
    }

    /** Kept beside the data: looking at a page must never wait for somebody who writes. */
    private function saw(Device $device): void
    {
        Cache::put("device-{$device->uid}", $this->clock->now()->getTimestamp(), self::SEEN_DAYS * 86400);
    }

    private static function ago(int $seconds): string
    {
        return match (true) {
            $seconds < 90 => 'now',
            $seconds < 5400 => round($seconds / 60).' min ago',
            $seconds < 129_600 => round($seconds / 3600).' h ago',
            default => round($seconds / 86400).' days ago',
        };
    }
}
