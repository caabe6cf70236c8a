<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/**
 * A number that can say where it comes from.
 *
 * `formula` is the rule in words or symbols, `inputs` the values that went in (name → text with unit),
 * `provenance` one of *computed*, *yours*, *starting value*.
 */
final readonly class Quantity
{
    /** @param  array<string, string>  $inputs */
    public function __construct(
        public float $value,
        public string $unit,
        public string $formula,
        public array $inputs = [],
        public string $provenance = 'computed',
        public int $decimals = 0,
        private bool $fixed = false,
    ) {
    }

    /** @param  array<string, string>  $inputs  an amount of money in its smallest unit: always told with two decimals */
    public static function money(
        int|float $minor,
        string $currency,
        string $formula,
        array $inputs = [],
        string $provenance = 'computed',
    ): self {
        return new self($minor / 100.0, $currency, $formula, $inputs, $provenance, 2, true);
    }

    public function text(): string
    {
        return $this->fixed ? Decimal::fixed($this->value, $this->decimals) : $this->shown()[0];
    }

    /** The unit that the text is in. */
    public function unit(): string
    {
        return $this->fixed ? $this->unit : $this->shown()[1];
    }

    /** In a column that is headed by its unit: never a larger one. */
    public function inColumn(): string
    {
        return $this->fixed ? $this->text() : Decimal::trimmed(Format::converted($this->value, $this->unit), $this->decimals);
    }

    /** With its unit, as it stands in a sentence. */
    public function told(): string
    {
        return match (true) {
            $this->fixed => "{$this->text()} {$this->unit}",
            $this->unit === '°' => $this->text().'°',
            default => Format::text($this->value, $this->unit, $this->decimals),
        };
    }

    /** One sentence for a hover or a reader. */
    public function origin(): string
    {
        $parts = [];
        foreach ($this->inputs as $name => $value) {
            $parts[] = "{$name} {$value}";
        }
        $from = $parts === [] ? '' : ' From '.implode(', ', $parts).'.';

        return ucfirst($this->formula).'.'.$from.' '.ucfirst($this->provenance).'.';
    }

    /** @return array{string, string} */
    private function shown(): array
    {
        return Format::parts($this->value, $this->unit, $this->decimals);
    }
}
