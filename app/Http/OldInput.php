<?php

declare(strict_types=1);

namespace App\Http;

/** What was typed into a field of a form that was refused, for the form to show again. */
final class OldInput
{
    /** A list where a word is wanted is nobody's typing: then what stands is shown. */
    public static function text(string $field, string|int|float|null $otherwise = ''): string
    {
        $typed = old($field);

        return is_scalar($typed) ? (string) $typed : (string) $otherwise;
    }
}
