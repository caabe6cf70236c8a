<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

use BackedEnum;
use DomainException;

/**
 * A value that cannot be: the message says what is wrong and what the limit is, `place` says where
 * (a field such as `width_mm`, or a JSON pointer such as `/runs/0/elements/2`).
 */
final class InvalidValue extends DomainException
{
    public function __construct(string $message, public readonly string $place = '')
    {
        parent::__construct($message);
    }

    /** The same refusal seen from one level further out: `/elements/2` becomes `/runs/0/elements/2`. */
    public function within(string $prefix): self
    {
        $rest = $this->place === '' ? '' : (str_starts_with($this->place, '/') ? $this->place : '/'.$this->place);

        return new self($this->getMessage(), $prefix.$rest);
    }

    /** @throws self unless `$value` is a finite number within the limits */
    public static function unlessBetween(float $value, float $least, float $most, string $what, string $unit, string $place): float
    {
        if (! is_finite($value) || $value < $least || $value > $most) {
            throw new self(
                sprintf(
                    '%s is %s; it must lie between %s and %s.',
                    $what,
                    self::say($value, $unit),
                    self::say($least, $unit),
                    self::say($most, $unit),
                ),
                $place,
            );
        }

        return $value;
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $kinds
     * @return T
     *
     * @throws self unless the word is one of its values
     */
    public static function unlessOneOf(string $kinds, string $word, string $place): BackedEnum
    {
        return $kinds::tryFrom($word)
            ?? throw new self("“{$word}” is none of ".implode(', ', array_column($kinds::cases(), 'value')).'.', $place);
    }

    private static function say(float $value, string $unit): string
    {
        return is_finite($value) ? Format::text($value, $unit, 3) : trim("not a number {$unit}");
    }
}
