<?php

declare(strict_types=1);

namespace App\Models;

use stdClass;

/**
 * A row whose values stand in one JSON column, in the form that a layout's file has them: rows and files are read and
 * written by the same core code.
 *
 * @property int $layout_id
 * @property int $position
 * @property string $data
 */
abstract class JsonRecord extends Record
{
    /** What stands there, for the core to read. */
    public function values(): stdClass
    {
        $values = json_decode($this->data, false, 64, JSON_THROW_ON_ERROR);

        return $values instanceof stdClass ? $values : new stdClass;
    }

    /** @param  array<string, mixed>  $values as a file holds them; the uid has its own column */
    public function keep(array $values): static
    {
        $this->data = self::text($values);

        return $this;
    }

    /** @param  array<string, mixed>  $values */
    public static function text(array $values): string
    {
        return json_encode((object) array_diff_key($values, ['uid' => true]), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }
}
