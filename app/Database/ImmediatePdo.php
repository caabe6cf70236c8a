<?php

declare(strict_types=1);

namespace App\Database;

use PDO;

/**
 * SQLite's transactions as they have to be where several devices write: the right to write is taken when a transaction
 * begins and waited for there. The default, taken at the first write, fails at once when another wrote since the first
 * read. PHP before 8.4 offers no other way to say so.
 */
final class ImmediatePdo extends PDO
{
    private bool $within = false;

    public function beginTransaction(): bool
    {
        $this->exec('BEGIN IMMEDIATE');
        $this->within = true;

        return true;
    }

    public function commit(): bool
    {
        $this->exec('COMMIT');
        $this->within = false;

        return true;
    }

    public function rollBack(): bool
    {
        $this->within = false;
        // A full disk ends the transaction by itself.
        try {
            $this->exec('ROLLBACK');
        } catch (\PDOException $gone) {
            if (! str_contains($gone->getMessage(), 'no transaction is active')) {
                throw $gone;
            }
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
     * @param callable(): T $read
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
}
