<?php

declare(strict_types=1);

namespace App\Models;

/** An application that was begun. */
final class CoatApplication extends JsonRecord
{
    protected $table = 'applications';
}
