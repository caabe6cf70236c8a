<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Words;
use stdClass;

/**
 * One JSON object while it is read: typed access by key, with the JSON pointer of what is missing or wrong. Keys that
 * were not asked for are faults, but for those that begin with x_.
 */
final class Record
{
    /** @var array<string, true> */
    private array $asked = [];

    /** @var array<mixed> */
    private array $values;

    /**
     * @throws InvalidValue when it is not an object
     */
    public function __construct(mixed $value, public string $pointer)
    {
        if (! ($value instanceof stdClass)) {
            throw new InvalidValue('expected an object', $pointer);
        }

        $this->values = (array) $value;
    }

    public function has(string $key): bool
    {
        return isset($this->values[$key]);
    }

    public function text(string $key, ?string $otherwise = null): string
    {
        $value = $this->take($key, $otherwise);
        if (! is_string($value)) {
            throw new InvalidValue('expected a text', $this->at($key));
        }

        return Words::plain($value);
    }

    public function isText(string $key): bool
    {
        return is_string($this->values[$key] ?? null);
    }

    public function number(string $key, ?float $otherwise = null): float
    {
        $value = $this->take($key, $otherwise);
        if (! is_int($value) && ! is_float($value)) {
            throw new InvalidValue('expected a number', $this->at($key));
        }

        return (float) $value;
    }

    public function numberOrNull(string $key): ?float
    {
        $this->asked[$key] = true;

        return isset($this->values[$key]) ? $this->number($key) : null;
    }

    /** @return list<mixed> */
    public function list(string $key): array
    {
        $value = $this->take($key, []);
        if (! is_array($value) || ! array_is_list($value)) {
            throw new InvalidValue('expected a list', $this->at($key));
        }

        return $value;
    }

    /** @return list<string> */
    public function words(string $key): array
    {
        return array_map(
            fn (mixed $word): string => is_string($word) ? $word : throw new InvalidValue('expected a text', $this->at($key)),
            $this->list($key),
        );
    }

    /** @return array<string, string> */
    public function texts(string $key): array
    {
        $out = [];
        foreach ((new self($this->take($key, new stdClass()), $this->at($key)))->values as $name => $value) {
            if (! is_string($value)) {
                throw new InvalidValue('expected a text', $this->at($key).'/'.$name);
            }
            $out[(string) $name] = $value;
        }

        return $out;
    }

    public function record(string $key): self
    {
        return new self($this->take($key, null), $this->at($key));
    }

    /** @return list<self> */
    public function records(string $key): array
    {
        $out = [];
        foreach ($this->list($key) as $k => $value) {
            $out[] = new self($value, $this->at($key).'/'.$k);
        }

        return $out;
    }

    public function flag(string $key): bool
    {
        $value = $this->take($key, false);
        if (! is_bool($value)) {
            throw new InvalidValue('expected true or false', $this->at($key));
        }

        return $value;
    }

    /**
     * A value made of this record: what it refuses by field is said with the record's pointer.
     *
     * @template T
     *
     * @param  callable(): T  $make
     * @return T
     *
     * @throws InvalidValue
     */
    public function within(callable $make): mixed
    {
        try {
            return $make();
        } catch (InvalidValue $refusal) {
            throw str_starts_with($refusal->place, '/') ? $refusal : $refusal->within($this->pointer);
        }
    }

    /** @return array<string, self> every value of an object of objects */
    public function members(): array
    {
        $out = [];
        foreach (array_keys($this->values) as $key) {
            $out[(string) $key] = $this->record((string) $key);
        }

        return $out;
    }

    /** @return array<string, list<mixed>> every value of an object of lists */
    public function lists(): array
    {
        $out = [];
        foreach (array_keys($this->values) as $key) {
            $out[(string) $key] = $this->list((string) $key);
        }

        return $out;
    }

    /** @return array<string, float> every value of a flat object of numbers */
    public function numbers(): array
    {
        $out = [];
        foreach (array_keys($this->values) as $key) {
            $out[(string) $key] = $this->number((string) $key);
        }

        return $out;
    }

    /**
     * What is left: keys that begin with x_.
     *
     * @return array<string, mixed>
     *
     * @throws InvalidValue for any other key that nobody asked for
     */
    public function extra(): array
    {
        $extra = [];
        foreach ($this->values as $key => $value) {
            if (isset($this->asked[$key])) {
                continue;
            }
            if (str_starts_with((string) $key, 'x_')) {
                $extra[(string) $key] = $value;
            } else {
                throw new InvalidValue('unknown key; keys of your own begin with x_', $this->at((string) $key));
            }
        }

        return $extra;
    }

    /**
     * Nothing may be left: a part of a record has no keys of your own.
     *
     * @throws InvalidValue
     */
    public function close(): void
    {
        foreach ($this->extra() as $key => $value) {
            throw new InvalidValue('keys of your own belong on the layout, a section, a run or a feature', $this->at($key));
        }
    }

    public function at(string $key): string
    {
        return $this->pointer.'/'.str_replace(['~', '/'], ['~0', '~1'], $key);
    }

    private function take(string $key, mixed $otherwise): mixed
    {
        $this->asked[$key] = true;
        $value = $this->values[$key] ?? $otherwise;
        if ($value === null) {
            throw new InvalidValue('is missing', $this->at($key));
        }

        return $value;
    }
}
