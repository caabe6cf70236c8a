<?php

declare(strict_types=1);

namespace App\Actions\House;

use Throwable;

/** What keeps this machine from writing, told from the words of the database and the system. */
enum DiskTrouble
{
    case Full;
    case ReadOnly;
    case Broken;
    case Busy;

    private const SIGNS = [
        'database or disk is full' => self::Full,
        'No space left on device' => self::Full,
        'Disk quota exceeded' => self::Full,
        'readonly database' => self::ReadOnly,
        'Read-only file system' => self::ReadOnly,
        'unable to open database file' => self::ReadOnly,
        'disk I/O error' => self::Broken,
        'database disk image is malformed' => self::Broken,
        'database is locked' => self::Busy,
        'database table is locked' => self::Busy,
    ];

    public static function of(Throwable $failed): ?self
    {
        for ($one = $failed; $one !== null; $one = $one->getPrevious()) {
            foreach (self::SIGNS as $sign => $trouble) {
                if (str_contains($one->getMessage(), $sign)) {
                    return $trouble;
                }
            }
        }

        return null;
    }

    public function said(): string
    {
        return match ($this) {
            self::Full => 'The disk of this machine is full, so nothing was saved. Make room, and send it once more.',
            self::ReadOnly => 'The data of this machine cannot be written, so nothing '
                .'was saved: its folder is read-only or belongs to somebody else.',
            self::Broken => 'The disk of this machine does not answer as it should, '
                .'so nothing was saved. Take a copy along before anything else.',
            self::Busy => 'Another device has been saving for a long time, so nothing was saved. Send it once more.',
        };
    }

    /**
     * What a form held, so that it can be sent again.
     *
     * @param  array<mixed>  $input
     * @return array<string, string> name of the field as a form has it → value
     */
    public static function typed(array $input, string $within = ''): array
    {
        $out = [];
        foreach ($input as $key => $value) {
            $name = $within === '' ? (string) $key : "{$within}[{$key}]";
            if (is_array($value)) {
                $out += self::typed($value, $name);
            } elseif (is_scalar($value) && $name !== '_token') {
                $out[$name] = (string) $value;
            }
        }

        return $out;
    }
}
