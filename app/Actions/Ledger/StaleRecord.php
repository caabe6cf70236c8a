<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use App\Models\JsonRecord;
use App\Models\Record;
use RuntimeException;

/** A form that was opened before somebody else saved the same record. Nothing is overwritten. */
final class StaleRecord extends RuntimeException
{
    /**
     * @param  array<string, string>  $theirs field → what stands now
     * @param  array<string, string>  $yours field → what was sent
     */
    public function __construct(public readonly string $what, public readonly array $theirs, public readonly array $yours)
    {
        parent::__construct("{$what} was changed elsewhere since this form was opened.");
    }

    /** @param  array<string, mixed>  $sent field → value, as the row names them */
    public static function of(Record $record, string $what, array $sent): self
    {
        $standing = $record->getRawOriginal();
        if ($record instanceof JsonRecord) {
            [$sent, $standing] = [
                (array) json_decode((string) ($sent['data'] ?? '{}'), true),
                (array) json_decode((string) $standing['data'], true),
            ];
        }
        $now = [];
        $yours = [];
        foreach ($sent as $field => $value) {
            $stands = $standing[$field] ?? null;
            if ($stands !== null && self::text($stands) !== self::text($value)) {
                $now[$field] = self::text($stands);
                $yours[$field] = self::text($value);
            }
        }

        return new self($what, $now, $yours);
    }

    private static function text(mixed $value): string
    {
        if (is_string($value) && is_numeric($value)) {
            $value = (float) $value;
        }

        return is_scalar($value) ? (string) $value : (string) json_encode($value);
    }
}
