<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A row that revisions keep: `uid` names it everywhere, `rev` counts its changes. Times are set from the clock, never by
 * the framework.
 *
 * @property int $id
 * @property string $uid
 * @property int $rev
 * @property string $name
 * @property string $extra JSON object, kept as text so that an empty object stays one
 */
abstract class Record extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    public function getRouteKeyName(): string
    {
        return 'uid';
    }
}
