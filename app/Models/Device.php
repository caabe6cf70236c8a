<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Another machine that was let in. It shows a secret of which only the hash is kept.
 *
 * @property int $id
 * @property string $uid
 * @property string $name
 * @property string $secret_hash
 * @property Role $role
 * @property string $paired_at
 */
final class Device extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['role' => Role::class];
}
