<?php

declare(strict_types=1);

namespace App\Database;

use PDO;
use PDOException;

/**
 * SQLite's transactions as they have to be where several devices write: the right to write is taken when a transaction
 * begins and waited for there. The default, taken at the first write, fails at once when another wrote since the first
 * read; PHP before 8.4 offers no other way to say so. Who waits stands in the row of a lock on a file beside the data:
 * SQLite's own waiting looks now and then whether nobody writes, and may do so in vain for as long as others come.
 */
final class ImmediatePdo extends PDO
{
    private const ROW = '-turn';

    private bool $within = false;

    private readonly ?string $row;

    /** @var resource|null */
    private $turn;

    /** @param  array<int, mixed>|null  $options */
    public function __construct(string $dsn, ?string $username = null, ?string $password = null, ?array $options = null)
    {
        parent::__construct($dsn, $username, $password, $options);
        $file = substr($dsn, strlen('sqlite:'));
        $this->row = is_file($file) ? $file.self::ROW : null;
    }

    public function beginTransaction(): bool
    {
        $this->waitForTurn();
        try {
            $this->exec('BEGIN IMMEDIATE');
        } catch (PDOException $refused) {
            $this->giveTurn();
            throw $refused;
        }
        $this->within = true;

        return true;
    }

    public function commit(): bool
    {
        $this->exec('COMMIT');
        $this->within = false;
        $this->giveTurn();

        return true;
    }

    public function rollBack(): bool
    {
        $this->within = false;
        try {
            $this->exec('ROLLBACK');
        } catch (PDOException $gone) {
            // A full disk ends the transaction by itself.
            if (! str_contains($gone->getMessage(), 'no transaction is active')) {
                throw $gone;
            }
        } finally {
            $this->giveTurn();
        }

        return true;
    }

    public function inTransaction(): bool
    {
        return $this->within;
    }

    /**
     * What is read within is of one moment, and holds up nobody.
     *
     * @template T
     *
     * @param  callable(): T  $read
     * @return T
     */
    public function asOfNow(callable $read): mixed
    {
        if ($this->within) {
            return $read();
        }
        $this->exec('BEGIN');
        $this->within = true;
        try {
            return $read();
        } finally {
            $this->within = false;
            $this->exec('ROLLBACK');
        }
    }

    /** Where no lock can be had, SQLite's own waiting has to do. */
    private function waitForTurn(): void
    {
        $turn = $this->row === null ? false : @fopen($this->row, 'c');
        if ($turn !== false) {
            flock($turn, LOCK_EX);
            $this->turn = $turn;
        }
    }

    private function giveTurn(): void
    {
        if ($this->turn !== null) {
            fclose($this->turn);
            $this->turn = null;
        }
    }
}
