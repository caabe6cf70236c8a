<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/**
 * What came with a request, field by field. What a value may be is said where the value is made; a form only tells words from lists and
 * numbers from words.
 */
final class Fields extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [];
    }

    /** A word, empty where there is none. */
    public function word(string $field): string
    {
        $word = $this->input($field);

        return is_string($word) ? $word : '';
    }

    /** A number, null where there is none. */
    public function number(string $field): ?float
    {
        $number = $this->input($field);

        return is_numeric($number) ? (float) $number : null;
    }
}
