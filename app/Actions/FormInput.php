<?php

declare(strict_types=1);

namespace App\Actions;

use DateTimeImmutable;
use IdleRidge\Core\Measure\Amount;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use IdleRidge\Core\Measure\Tuples;
use IdleRidge\Core\Schedule\BenchTime;

/**
 * What came from a form: reads values, gathers every fault by field, and remembers what was typed for lengths so that it
 * can be shown again.
 */
final class FormInput
{
    /** @var list<InvalidValue> */
    private array $faults = [];

    /** @var array<string, string> */
    private array $kept = [];

    /** @param  array<string, mixed>  $input */
    public function __construct(private readonly array $input)
    {
    }

    public function has(string $field): bool
    {
        return $this->raw($field) !== null;
    }

    public function text(string $field, string $otherwise = ''): string
    {
        $value = $this->raw($field);

        return is_scalar($value) ? trim((string) $value) : $otherwise;
    }

    /**
     * A length in mm, as typed in the units in use or any other; see `amount`. What was typed is kept.
     */
    public function length(string $field, ?float $otherwise = null, ?float $current = null, int $decimals = 2): float
    {
        $mm = $this->amount($field, 'mm', $otherwise, $current, $decimals);
        $text = $this->text($field);
        if (is_finite($mm) && $text !== '' && ($current === null || $text !== Format::field($current, 'mm', $decimals))) {
            $this->kept[$field] = $text;
        }

        return $mm;
    }

    /**
     * A weight, volume, area, length or temperature in `$unit`, however it was typed; rates such as g/m² are plain numbers in
     * the units in use, pieces plain ones. A field that still shows the current value (to `$decimals`) leaves it as it is.
     */
    public function amount(string $field, string $unit, ?float $otherwise = null, ?float $current = null, int $decimals = 2): float
    {
        $text = $this->text($field);
        if ($current !== null && $text === Format::field($current, $unit, $decimals)) {
            return $current;
        }
        if ($text === '' && $otherwise !== null) {
            return $otherwise;
        }
        if (! Amount::knows($unit)) {
            return Format::back($this->number($field), $unit);
        }
        try {
            return Amount::parse($text, $unit, $this->at($field));
        } catch (InvalidValue $refusal) {
            $this->faults[] = $refusal;

            return NAN;
        }
    }

    /**
     * Groups of quantities in one field, as `Tuples` reads them.
     *
     * @param  list<string>  $units
     * @return list<list<float>> none where one cannot be read
     */
    public function tuples(string $field, array $units, string $else, ?int $least = null): array
    {
        try {
            return Tuples::parse($this->text($field), $units, $this->at($field), $else, $least);
        } catch (InvalidValue $refusal) {
            $this->faults[] = $refusal;

            return [];
        }
    }

    /**
     * Quantities in one field, with a blank or one of these signs between; a fraction belongs to what stands before it: 1 1/2.
     *
     * @param  string  $signs  of a character class
     * @return list<float> none where one cannot be read
     */
    public function amounts(string $field, string $unit, string $signs = ';'): array
    {
        $words = preg_split("/\\s*[{$signs}]\\s*|\\s+(?=\\d)(?!\\d+\\/)/u", $this->text($field), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        try {
            return array_map(fn (string $word): float => Amount::parse($word, $unit, $this->at($field)), $words);
        } catch (InvalidValue $refusal) {
            $this->faults[] = $refusal;

            return [];
        }
    }

    /** A plain number; a trailing unit such as ° or % is let pass, a decimal comma too. */
    public function number(string $field, ?float $otherwise = null): float
    {
        $text = str_replace([',', "\u{2212}"], ['.', '-'], (string) preg_replace('/\s*(°|%)$/u', '', $this->text($field)));
        if ($text === '' && $otherwise !== null) {
            return $otherwise;
        }
        if (! is_numeric($text) || ! is_finite((float) $text)) {
            $this->faults[] = new InvalidValue($text === '' ? 'A number is missing.' : "“{$text}” is not a number.", $this->at($field));

            return NAN;
        }

        return (float) $text;
    }

    /** A date as people type it, as 2026-10-17; what cannot be read comes through as it is, for the core to refuse. */
    public function day(string $field, DateTimeImmutable $now): string
    {
        $text = $this->text($field);
        foreach (
            [
                '!Y-m-d' => false,
                '!j.n.Y' => false,
                '!j M Y' => false,
                '!j F Y' => false,
                '!j M' => true,
                '!j F' => true,
                '!D j M' => true,
            ] as $format => $thisYear
        ) {
            $read = DateTimeImmutable::createFromFormat($format, $text);
            if ($read !== false && ($read->format(ltrim($format, '!')) === $text || $thisYear || $format !== '!Y-m-d')) {
                $read = $thisYear ? $read->setDate((int) $now->format('Y'), (int) $read->format('n'), (int) $read->format('j')) : $read;
                // A day without a year is the next one there is.
                $read = $thisYear && $read->format('md') < $now->format('md') ? $read->modify('+1 year') : $read;

                return $read->format('Y-m-d');
            }
        }

        return $text;
    }

    /** A time of day in minutes; what cannot be read is a fault of its own. */
    public function clock(string $field, ?int $otherwise = null): int
    {
        if ($otherwise !== null && $this->text($field) === '') {
            return $otherwise;
        }
        try {
            return BenchTime::minute($this->text($field), $this->at($field));
        } catch (InvalidValue $refusal) {
            $this->faults[] = $refusal;

            return $otherwise ?? -1;
        }
    }

    /** @return array<int|string, mixed> */
    public function list(string $field): array
    {
        $value = $this->raw($field);

        return is_array($value) ? $value : [];
    }

    /** @return array<string, string> field → text, of lengths that could be read */
    public function kept(): array
    {
        return $this->kept;
    }

    public function fault(string $message, string $place): void
    {
        $this->faults[] = new InvalidValue($message, $place);
    }

    /**
     * The value, unless a field could not be read or the value itself is refused.
     *
     * @template T
     *
     * @param  callable(): T  $make
     * @return T
     *
     * @throws InvalidValues
     */
    public function made(callable $make): mixed
    {
        try {
            $value = $make();
        } catch (InvalidValue $refusal) {
            // A field that could not be read comes through as not a number: its own fault says it better.
            $known = array_map(fn (InvalidValue $r): string => $r->place, $this->faults);
            if (! in_array($refusal->place, $known, true)) {
                $this->faults[] = $refusal;
            }
        }
        if ($this->faults !== [] || ! isset($value)) {
            throw new InvalidValues($this->faults === [] ? [new InvalidValue('Nothing came of it.')] : $this->faults);
        }

        return $value;
    }

    private function raw(string $field): mixed
    {
        $value = $this->input;
        foreach (explode('.', $field) as $key) {
            if (! is_array($value) || ! array_key_exists($key, $value)) {
                return null;
            }
            $value = $value[$key];
        }

        return $value;
    }

    private function at(string $field): string
    {
        return str_replace('.', '/', $field);
    }
}
