<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Computed\UnreadableLayout;
use DateTimeImmutable;
use DateTimeZone;
use Exception;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Interchange\RidgeReader;
use IdleRidge\Core\Measure\Amount;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use IdleRidge\Core\Project\Project;
use Illuminate\Console\Command;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\QueryException;
use Psr\Clock\ClockInterface;
use Symfony\Component\Console\Input\InputOption;

/**
 * What the commands over open files share: one JSON document on standard output, one line a fault on standard error with
 * exit code 2. `--json` prints the document on one line.
 */
abstract class RidgeCommand extends Command
{
    protected function configure(): void
    {
        $this->addOption('units', null, InputOption::VALUE_REQUIRED, 'metric or imperial, for all that is read by people; figures in '
            .'JSON stay in mm, g, ml and °C', '');
    }

    public function handle(): int
    {
        return UnitsInUse::during(Units::Metric, $this->answered(...));
    }

    private function answered(): int
    {
        try {
            UnitsInUse::become($this->unitsOr(Units::Metric));
            $answer = $this->answer();
        } catch (InvalidValue $refusal) {
            return $this->fault([$refusal]);
        } catch (InvalidValues $refusals) {
            return $this->fault($refusals->all);
        } catch (UnreadableLayout $unreadable) {
            return $this->fault($unreadable->faults->all);
        } catch (ModelNotFoundException) {
            return $this->fault([new InvalidValue('there is no such layout; give its uid or its name')]);
        } catch (QueryException) {
            return $this->fault([new InvalidValue('the database is not ready; bin/demo prepares it')]);
        }
        $flags = JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR;
        if ($answer === null) {
            return self::SUCCESS;
        }
        $this->output->writeln(json_encode($answer, $this->option('json') === true ? $flags : $flags | JSON_PRETTY_PRINT));

        return self::SUCCESS;
    }

    /**
     * @return array<string, mixed>|null null when all is said already
     *
     * @throws InvalidValue|InvalidValues|UnreadableLayout|ModelNotFoundException<Model>|QueryException
     */
    abstract protected function answer(): ?array;

    /** @throws InvalidValue when it cannot be read */
    protected function contents(string $file): string
    {
        $text = is_file($file) ? @file_get_contents($file) : false;

        return $text === false ? throw new InvalidValue('cannot be read') : $text;
    }

    /** @throws InvalidValue when it cannot be written */
    protected function put(string $file, string $text): void
    {
        if (@file_put_contents($file, $text) === false) {
            throw new InvalidValue("cannot write to {$file}");
        }
    }

    /** The first argument: a file, or a layout. */
    protected function file(): string
    {
        $arguments = array_values(array_diff_key($this->input->getArguments(), ['command' => true]));

        return is_scalar($arguments[0] ?? null) ? (string) $arguments[0] : '';
    }

    /** An option as it was typed; empty when it was not. */
    protected function word(string $option): string
    {
        $word = $this->input->getOption($option);

        return is_scalar($word) ? (string) $word : '';
    }

    protected function project(): Project
    {
        $project = RidgeReader::read($this->contents($this->file()), app(Library::class));
        UnitsInUse::become($this->unitsOr($project->layout->units));

        return $project;
    }

    /** @throws InvalidValue for a word that is no system of units */
    private function unitsOr(Units $otherwise): Units
    {
        $word = $this->word('units');

        return $word === '' ? $otherwise : InvalidValue::unlessOneOf(Units::class, $word, '--units');
    }

    /** @throws InvalidValue when the option is not a number within the limits; one that has a unit may be typed in any of its kind */
    protected function number(string $option, float $least, float $most, string $unit = ''): float
    {
        $text = $this->word($option);
        if (! is_numeric($text) && ! Amount::knows($unit)) {
            throw new InvalidValue("“{$text}” is not a number", "--{$option}");
        }
        $value = is_numeric($text) ? (float) $text : Amount::parse($text, $unit, "--{$option}", $unit);

        return InvalidValue::unlessBetween($value, $least, $most, "--{$option}", $unit, "--{$option}");
    }

    /** `--now`, or the clock's moment, in minutes of Unix time. */
    protected function minute(): int
    {
        return $this->moment('now');
    }

    /** A moment that an option gives, or the clock's, in minutes of Unix time. */
    protected function moment(string $option): int
    {
        $text = $this->word($option);
        try {
            $at = $text === '' ? app(ClockInterface::class)->now() : new DateTimeImmutable($text, new DateTimeZone('UTC'));
        } catch (Exception) {
            throw new InvalidValue("“{$text}” is not a moment; type it as 2026-10-14T18:30Z", "--{$option}");
        }

        return intdiv($at->getTimestamp(), 60);
    }

    /**
     * @return list<float>
     *
     * @throws InvalidValue unless the option is so many numbers with commas between
     */
    protected function numbers(string $option, int $count): array
    {
        $words = explode(',', $this->word($option));
        if (count($words) !== $count || array_filter($words, 'is_numeric') !== $words) {
            throw new InvalidValue("expected {$count} numbers with commas between", "--{$option}");
        }

        return array_map('floatval', $words);
    }

    /** @param  list<InvalidValue>  $faults */
    private function fault(array $faults): int
    {
        $name = $this->file();
        foreach ($faults as $fault) {
            fwrite(
                STDERR,
                implode(': ', array_filter([$name, $fault->place, $fault->getMessage()], fn (string $part): bool => $part !== ''))."\n",
            );
        }

        return self::INVALID;
    }
}
