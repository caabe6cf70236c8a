<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use RuntimeException;

/** What was asked for was meant for a state of the layout that somebody has gone beyond meanwhile. Nothing is done then, and it is said. */
final class Overtaken extends RuntimeException
{
}
