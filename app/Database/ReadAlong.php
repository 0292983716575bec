<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Http\Request;

/**
 * Small readings that nearly every page asks for, and the row of the job that a page is about: they come with the row
 * of the session, in one round trip. Only a page that shows has them: what changes something asks anew, and finds what
 * it has just written.
 */
final class ReadAlong
{
    private const ATTRIBUTE = 'read-along';

    private const JOB = 'job';

    /** The number of the job that the address names; null where it names none, or something is changed. */
    public static function job(Request $request): ?int
    {
        $named = $request->isMethodSafe() ? $request->route(self::JOB) : null;

        return is_string($named) && preg_match('/^[1-9][0-9]{0,17}$/D', $named) === 1 ? (int) $named : null;
    }

    /**
     * @param  array<string, string>  $readings  name => what was read
     * @param  array<string, mixed>|null  $job  its row with its marks; null where none was asked for, or there is none
     */
    public static function hold(Request $request, array $readings, ?array $job): void
    {
        $request->attributes->set(self::ATTRIBUTE, $readings);
        $request->attributes->set(self::ATTRIBUTE.'-'.self::JOB, $job);
    }

    /** Null where this request has not read it along. */
    public static function of(string $name): ?string
    {
        return request()->attributes->get(self::ATTRIBUTE)[$name] ?? null;
    }

    /** @return array<string, mixed>|null the row of that job with its marks, where this request has read it along */
    public static function ofJob(int $job): ?array
    {
        $row = request()->attributes->get(self::ATTRIBUTE.'-'.self::JOB);

        return is_array($row) && ($row['id'] ?? null) === $job ? $row : null;
    }

    /** The catalogue, say, has changed: what was read before does not hold. */
    public static function forget(string $name): void
    {
        $held = request()->attributes->get(self::ATTRIBUTE) ?? [];
        unset($held[$name]);
        request()->attributes->set(self::ATTRIBUTE, $held);
    }
}
