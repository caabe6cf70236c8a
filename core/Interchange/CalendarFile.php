<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use DateTimeImmutable;
use DateTimeZone;
use ErrorException;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\Countdown;
use IdleRidge\Core\Plan\PlacedMove;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Property\ICalendar\DateTime;
use Sabre\VObject\Property\ICalendar\Duration;
use Sabre\VObject\Reader;
use Sabre\VObject\Settings;
use Throwable;

/** The plan as a calendar to take along, and other people's calendars as busy hours (RFC 5545). */
final class CalendarFile
{
    private const MAX_EVENTS = 2_000;

    /** One event for each session with its moves, each cure with its range, each last moment. */
    public static function write(BenchPlan $plan): string
    {
        return self::quietly(function () use ($plan): string {
            $layout = $plan->work->project->layout;
            $calendar = new VCalendar(['PRODID' => '-//Idle Ridge//Plan//EN', 'NAME' => $layout->name, 'X-WR-CALNAME' => $layout->name]);
            $stamp = self::at($plan->work->now);
            foreach ($plan->work->sessions as $session) {
                $moves = $plan->within($session[0], $session[1]);
                if ($moves !== []) {
                    self::event(
                        $calendar,
                        "session-{$session[0]}@{$layout->uid}",
                        $stamp,
                        $session[0],
                        $session[1],
                        'Bench: '.implode(', ', array_unique(array_map(fn (PlacedMove $p): string => $p->move->section->name, $moves))),
                        implode(
                            "\n",
                            array_map(
                                fn (PlacedMove $p): string => self::at($p->start)->setTimezone($plan->work->zone())->format('H:i').
                                    " {$p->move->title()}, {$p->move->place()}, {$p->minutes()} min",
                                $moves,
                            ),
                        ),
                        true,
                    );
                }
            }
            foreach ($plan->moves as $placed) {
                $next = Milestone::NextCoat;
                if (isset($placed->move->recipe->cure->minutes[$next->value])) {
                    [$half, $most] = [$plan->reached($placed, $next, 0.5), $plan->reached($placed, $next, 0.9)];
                    self::event(
                        $calendar,
                        "cure-{$placed->move->id}@{$layout->uid}",
                        $stamp,
                        $half,
                        max($half + 1, $most),
                        "{$placed->move->coat->title()} ready for the next coat, {$placed->move->place()}",
                        'From one time in two to nine in ten. '.ucfirst($placed->move->recipe->check).'.',
                        false,
                    );
                }
            }
            foreach (Countdown::of($plan->work) as $one) {
                self::event(
                    $calendar,
                    "{$one->kind}-{$one->at}-".md5($one->title)."@{$layout->uid}",
                    $stamp,
                    $one->at,
                    $one->at + 5,
                    ($one->kind === 'opens' ? 'From now: ' : 'At the latest: ')."{$one->title}, {$one->place}",
                    ucfirst($one->why).'.',
                    false,
                );
            }

            return $calendar->serialize();
        });
    }

    /**
     * Busy hours from now on, local wall time, a day apart at midnight.
     *
     * @return list<array{date: string, from: int, to: int}>
     *
     * @throws InvalidValue when it is no calendar, or too much of one
     */
    public static function busy(string $text, DateTimeZone $zone, int $now, int $days): array
    {
        try {
            return self::quietly(fn (): array => self::read($text, $zone, $now, $days), E_WARNING | E_NOTICE);
        } catch (InvalidValue $refusal) {
            throw $refusal;
        } catch (Throwable $wrong) {
            throw new InvalidValue(
                'It cannot be read as an iCalendar file: '.lcfirst(rtrim($wrong->getMessage(), '.')).'.',
                'calendar',
            );
        }
    }

    /** @return list<array{date: string, from: int, to: int}> */
    private static function read(string $text, DateTimeZone $zone, int $now, int $days): array
    {
        // Whoever reads it has a limit of time; the count alone would refuse what has been daily for years.
        Settings::$maxRecurrences = -1;
        $calendar = Reader::read($text);
        if (! ($calendar instanceof VCalendar)) {
            throw new InvalidValue('It is no calendar.', 'calendar');
        }
        $from = self::at($now);
        $out = [];
        foreach ($calendar->expand($from, $from->modify("+{$days} days"), $zone)->select('VEVENT') as $event) {
            if (
                $event instanceof VEvent &&
                (string) $event->__get('TRANSP') !== 'TRANSPARENT' &&
                (string) $event->__get('STATUS') !== 'CANCELLED'
            ) {
                array_push($out, ...self::hours($event, $zone));
            }
            if (count($out) > self::MAX_EVENTS) {
                throw new InvalidValue('It has more than '.self::MAX_EVENTS.' busy hours in the coming months.', 'calendar');
            }
        }
        sort($out);

        return $out;
    }

    /** @return list<array{date: string, from: int, to: int}> */
    private static function hours(VEvent $event, DateTimeZone $zone): array
    {
        $start = $event->__get('DTSTART');
        if (! ($start instanceof DateTime)) {
            throw new InvalidValue('One of its events has no beginning.', 'calendar');
        }
        $begin = DateTimeImmutable::createFromInterface($start->getDateTime($zone));
        $whole = ! $start->hasTime();
        $end = match (true) {
            $event->__get('DTEND') instanceof DateTime => DateTimeImmutable::createFromInterface(
                $event->__get('DTEND')->getDateTime($zone),
            ),
            $event->__get('DURATION') instanceof Duration => $begin->add($event->__get('DURATION')->getDateInterval()),
            default => $whole ? $begin->modify('+1 day') : $begin,
        };
        // A whole day is one wherever one is.
        [$begin, $end] = $whole
            ? [new DateTimeImmutable($begin->format('Y-m-d'), $zone), new DateTimeImmutable($end->format('Y-m-d'), $zone)]
            : [$begin->setTimezone($zone), $end->setTimezone($zone)];
        $out = [];
        for ($day = $begin->setTime(0, 0); $day < $end && count($out) < 62; $day = $day->modify('+1 day')) {
            $from = $day < $begin ? 60 * (int) $begin->format('G') + (int) $begin->format('i') : 0;
            $last = $day->modify('+1 day');
            $to = $end < $last ? 60 * (int) $end->format('G') + (int) $end->format('i') : 1440;
            if ($to > $from) {
                $out[] = ['date' => $day->format('Y-m-d'), 'from' => $from, 'to' => $to];
            }
        }

        return $out;
    }

    private static function event(
        VCalendar $calendar,
        string $uid,
        DateTimeImmutable $stamp,
        int $from,
        int $to,
        string $summary,
        string $description,
        bool $busy,
    ): void {
        $calendar->add('VEVENT', [
            'UID' => $uid,
            'DTSTAMP' => $stamp,
            'DTSTART' => self::at($from),
            'DTEND' => self::at($to),
            'SUMMARY' => $summary,
            'DESCRIPTION' => $description,
            'TRANSP' => $busy ? 'OPAQUE' : 'TRANSPARENT',
        ]);
    }

    private static function at(int $minute): DateTimeImmutable
    {
        return (new DateTimeImmutable('@'.$minute * 60))->setTimezone(new DateTimeZone('UTC'));
    }

    /**
     * The library is older than today's return types; what it is told of them helps nobody here.
     *
     * @template T
     *
     * @param  callable(): T  $work
     * @param  int  $faults levels at which it stumbles over what it is given
     * @return T
     */
    private static function quietly(callable $work, int $faults = 0): mixed
    {
        set_error_handler(
            fn (int $level, string $message): bool => ($level & $faults) === 0 ? true : throw new ErrorException($message, 0, $level),
            E_DEPRECATED | $faults,
        );
        try {
            return $work();
        } finally {
            restore_error_handler();
        }
    }
}
