<?php

declare(strict_types=1);

namespace App\Workshop\Revising;

use App\Models\Kept;
use App\Models\Record;
use RuntimeException;

/** A form that was opened before somebody else saved the same record. Nothing is overwritten. */
final class StaleRecord extends RuntimeException
{
    /**
     * @param array<string, string> $theirs field → what stands now
     * @param array<string, string> $yours field → what was sent
     */
    public function __construct(public readonly string $what, public readonly array $theirs, public readonly array $yours)
    {
        parent::__construct("{$what} was changed elsewhere since this form was opened.");
    }

    /**
     * @param array<string, mixed> $sent field → value, as the form names them
     *
     * @throws self when the form was made for an earlier state
     */
    public static function unlessFresh(Record $record, ?int $rev, string $what, array $sent): void
    {
        if ($rev === null || $rev === $record->rev) {
            return;
        }
        $standing = $record->getAttributes();
        if ($record instanceof Kept) {
            [$sent, $standing] = [(array) json_decode((string) $sent['data'], true), (array) json_decode($record->data, true)];
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
        throw new self($what, $now, $yours);
    }

    private static function text(mixed $value): string
    {
        if (is_string($value) && is_numeric($value)) {
            $value = (float) $value;
        }

        return is_scalar($value) ? (string) $value : (string) json_encode($value);
    }
}
