<?php

declare(strict_types=1);

namespace App\Actions;

use App\Devices\Build\BuildFailure;
use App\Devices\Erasing\DriveRack;
use App\Jobs\EraseDrive;
use App\Models\BenchEvent;
use App\Models\Erasure;
use App\Models\User;
use Cobblestone\Hardware\Erasure\Certificate;
use Cobblestone\Hardware\Erasure\ErasableDrive;
use Cobblestone\Hardware\Erasure\ErasureAdvice;
use Cobblestone\Hardware\Erasure\ErasureWay;
use Cobblestone\Runbook\Confirmation;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Begins an erasure of a drive that was named by its serial; of a destroyed one it keeps what was seen (rule L5). */
final class BeginErasure
{
    /**
     * @param  string  $serial  its end, as printed on the drive
     * @param  string  $seen  how it was destroyed, and who saw it
     * @param  bool  $alone  said of a drive that has no serial: no other one is attached
     *
     * @throws ValidationException
     */
    public function handle(User $user, string $name, string $way, string $serial, string $seen, bool $alone): Erasure
    {
        $drive = self::drive($name);
        $way = ErasureWay::tryFrom($way)
            ?? throw ValidationException::withMessages(['way' => 'Choose how it is erased.']);
        if (! in_array($way, ErasureAdvice::of($drive)->ways(), true)) {
            throw ValidationException::withMessages(['way' => ErasureAdvice::of($drive)->out[$way->value]]);
        }
        $confirmation = new Confirmation($drive->title(), $drive->size->count, $drive->serial, 'all of it', 'its owner',
            true);
        if ($drive->serial !== null && ! $confirmation->accepts($serial)) {
            throw ValidationException::withMessages([
                'serial' => "That is not the end of the serial of {$drive->model}. Read it off the drive itself.",
            ]);
        }
        if ($drive->serial === null && ! $alone) {
            throw ValidationException::withMessages([
                'alone' => "{$drive->model} has no serial to tell it by. Take the other drives out, and say so.",
            ]);
        }
        if ($way === ErasureWay::Destroyed && $seen === '') {
            throw ValidationException::withMessages(['seen' => 'Say how it was destroyed, and who saw it.']);
        }
        try {
            $erasure = DB::transaction(fn (): Erasure => self::kept($user, $name, $drive, $way, $seen));
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages(['drive' => 'This drive is being erased already.']);
        }
        $erasure->isUnderWay() && EraseDrive::dispatch($erasure->id);

        return $erasure;
    }

    /** @throws ValidationException */
    private static function drive(string $name): ErasableDrive
    {
        try {
            return DriveRack::find($name)?->drive()
                ?? throw ValidationException::withMessages(['drive' => 'Choose a drive that lies on the bench.']);
        } catch (BuildFailure $e) {
            throw ValidationException::withMessages(['drive' => $e->getMessage()]);
        }
    }

    private static function kept(User $user, string $name, ErasableDrive $drive, ErasureWay $way, string $seen): Erasure
    {
        $now = now();
        $destroyed = $way === ErasureWay::Destroyed;
        BenchEvent::note('drive-erased', $drive->title(), ['because' => $way->title()], $user->id);

        return Erasure::query()->create([
            'drive' => $name,
            'title' => $drive->title(),
            'way' => $way->value,
            'state' => $destroyed ? 'done' : 'queued',
            'user_id' => $user->id,
            'bytes' => $drive->size->count,
            'began_at' => $destroyed ? $now : null,
            'ended_at' => $destroyed ? $now : null,
            'certificate' => $destroyed ? (new Certificate(
                $drive->model,
                $drive->serial,
                $drive->size->count,
                $way,
                $now->toIso8601String(),
                $now->toIso8601String(),
                $user->title,
                'Seen: '.mb_substr($seen, 0, 400),
            ))->toArray() : null,
        ]);
    }
}
