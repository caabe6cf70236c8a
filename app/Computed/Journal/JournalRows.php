<?php

declare(strict_types=1);

namespace App\Computed\Journal;

use App\Models\JsonRecord;
use IdleRidge\Core\Interchange\JournalFile;
use IdleRidge\Core\Interchange\Record;
use IdleRidge\Core\Journal\Photo;
use IdleRidge\Core\Journal\Stall;
use IdleRidge\Core\Journal\Trial;

/** Single rows of the journal as core values. */
final class JournalRows
{
    public static function photo(JsonRecord $row): Photo
    {
        return JournalFile::photo(self::values($row), $row->uid);
    }

    public static function trial(JsonRecord $row): Trial
    {
        return JournalFile::trial(self::values($row), $row->uid);
    }

    public static function stall(JsonRecord $row): Stall
    {
        return JournalFile::stall(self::values($row), $row->uid);
    }

    private static function values(JsonRecord $row): Record
    {
        return new Record($row->values(), "/{$row->getTable()}");
    }
}
