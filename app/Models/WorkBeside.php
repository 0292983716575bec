<?php

declare(strict_types=1);

namespace App\Models;

use App\Devices\Lease;

/**
 * Work that a worker does beside a page, kept in a row: waiting, running, done, failed or stopped. Every change says in
 * which state it is made, so that nobody's word is written over.
 *
 * @property string $state
 * @property \Illuminate\Support\Carbon $updated_at
 */
trait WorkBeside
{
    /** What the lease of this work is called. */
    abstract protected function leaseName(): string;

    public function isUnderWay(): bool
    {
        return in_array($this->state, ['waiting', 'running'], true) && ! $this->brokeOff();
    }

    /** Its worker died, or the computer was switched off: it is silent, and nobody holds its lease. */
    public function brokeOff(): bool
    {
        if ($this->state !== 'running' || $this->updated_at->diffInSeconds(now()) < self::SILENT) {
            return false;
        }
        $lease = $this->lease();
        if ($lease === null) {
            return false;
        }
        fclose($lease);

        return true;
    }

    /** @return resource|null the right to do it; null where somebody does */
    public function lease()
    {
        return Lease::take($this->leaseName());
    }

    public function stop(): void
    {
        $this->onlyWhile('waiting', ['state' => 'stopped']);
        $this->onlyWhile('running', ['state' => 'stopped']);
    }

    /** @param  array<string, mixed>  $values */
    private function onlyWhile(string $state, array $values): bool
    {
        return self::query()
            ->whereKey($this->getKey())
            ->where('state', $state)
            ->toBase()
            ->update([...$values, 'updated_at' => now()]) === 1;
    }
}
