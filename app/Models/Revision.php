<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One change to a layout: the rows before and after, and a sentence about it.
 *
 * @property int $id
 * @property string $uid
 * @property int $layout_id
 * @property string $kind edit, undo or redo; restore where all came back from a copy
 * @property int|null $target_id the revision that an undo or redo is about
 * @property string $sentence
 * @property list<array{table: string, uid: string, before: array<string, mixed>|null, after: array<string, mixed>|null}> $changes
 * @property string $made_at
 */
final class Revision extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['changes' => 'array'];
}
