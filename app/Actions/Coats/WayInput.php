<?php

declare(strict_types=1);

namespace App\Actions\Coats;

use App\Actions\FormInput;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Measure\InvalidValue;

/** A way as it is picked in a form: an order, and where that takes them a wetting with its strength and a glue with its ratio. */
final readonly class WayInput
{
    public function __construct(private Library $library)
    {
    }

    /**
     * @param  string  $field with order, wetting, strength, glue and ratio (`1:3`) under it
     * @return string|null null where none is picked
     */
    public function way(FormInput $typed, string $field): ?string
    {
        $order = $typed->text("{$field}.order");
        if ($order === '') {
            return null;
        }
        $there = $this->library->ways->orders[$order] ?? null;
        $words = [$order];
        if ($there !== null && $there->wets() && $typed->text("{$field}.wetting") !== '') {
            $wetting = $typed->text("{$field}.wetting");
            $strength = ($this->library->ways->wettings[$wetting] ?? null)?->strength === null ? '' : $typed->text("{$field}.strength");
            $words[] = $strength === '' ? $wetting : $wetting.'-'.rtrim($strength, ' %');
        }
        if ($there !== null && $there->takesGlue() && $typed->text("{$field}.glue") !== '') {
            $ratio = preg_replace('/\s/', '', $typed->text("{$field}.ratio"));
            $words[] = $typed->text("{$field}.glue").($ratio === '' ? '' : '-'.str_replace(':', '-', (string) $ratio));
        }

        return $typed->made(function () use ($words, $field): string {
            try {
                return $this->library->ways->read(implode('+', $words))->text();
            } catch (InvalidValue $refusal) {
                throw new InvalidValue($refusal->getMessage(), "{$field}.order");
            }
        });
    }

    /** @return array<string, string> family → the way that a layout prefers */
    public function preferred(FormInput $typed): array
    {
        $out = [];
        foreach (Family::cases() as $family) {
            $way = $this->way($typed, "ways.{$family->value}");
            if ($way !== null) {
                $out[$family->value] = $way;
            }
        }

        return $out;
    }
}
