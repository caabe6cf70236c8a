<?php

declare(strict_types=1);

namespace App\Models;

/** What lies under the land. */
final class HiddenThing extends JsonRecord
{
}
