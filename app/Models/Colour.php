<?php

declare(strict_types=1);

namespace App\Models;

/** A colour of a layout's palette. */
final class Colour extends JsonRecord
{
}
