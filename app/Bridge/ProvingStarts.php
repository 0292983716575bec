<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Catalogue\CatalogueStore;
use App\Devices\Emulated\DriveFile;
use App\Devices\Emulated\EmulatedMachine;
use App\Models\Job;
use App\Models\ProvingStart;
use App\Models\User;
use Cobblestone\Boot\Emulated\EmulatedAs;
use Cobblestone\Boot\Emulated\EmulatedFirmware;
use Cobblestone\Boot\Emulated\EmulatedParts;
use Cobblestone\Boot\Possibilities;
use Cobblestone\Boot\StickStart;
use Cobblestone\Catalogue\UnknownEntry;
use Cobblestone\Findings\Layouts;
use Cobblestone\Machine\Drive;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;
use RuntimeException;

/** Starts that were asked for, each with what the boot model says of it by the same firmware and keys. */
final class ProvingStarts
{
    public function __construct(private readonly CatalogueStore $catalogue, private readonly JobBridge $bridge)
    {
    }

    /**
     * @param  array<string, mixed>  $medium  its columns
     * @param  string  $as  uefi, uefi-secure, bios, or a model of the catalogue
     *
     * @throws ValidationException with what is wrong with it
     */
    public function ask(array $medium, ?string $path, string $as, User $user): ProvingStart
    {
        $path = self::canBeStarted($path);
        $rehearsal = new StickRehearsal($this->catalogue->catalogue());
        try {
            $firmware = EmulatedFirmware::tryFrom($as);
            $model = $firmware === null ? $as : null;
            $firmware ??= $rehearsal->emulated($as)[0];
            $keys = $model === null && $firmware === EmulatedFirmware::UefiSecure ? [EmulatedMachine::TEST_KEYS] : [];
            $possible = $rehearsal->predict($path, $model, $model === null ? $firmware->value : null, $keys, []);
        } catch (UnknownEntry) {
            throw ValidationException::withMessages(['as' => 'Choose on which machine it is started.']);
        } catch (InvalidArgumentException|RuntimeException $e) {
            throw ValidationException::withMessages(['as' => $e->getMessage()]);
        }

        return self::asked($medium, $firmware, $possible, $user, [

            'machine' => $model,
            'machine_title' => $model === null ? null : $this->catalogue->catalogue()->machine($model)->title(),
        ]);
    }

    /**
     * The stick of a job, on a machine like that of the job as it is set at one of its power-ons.
     *
     * @param  array{step: string, number: int, machine: string}  $at
     *
     * @throws ValidationException with what is wrong with it
     */
    public function askOfJob(
        Job $job,
        array $at,
        string $slug,
        ?string $path,
        EmulatedAs $as,
        User $user,
    ): ProvingStart {
        $path = self::canBeStarted($path);
        $possible = (new StickRehearsal($this->catalogue->catalogue()))->predictAs($path, $as);
        $title = $this->catalogue->kind('sticks')[$slug]['name'] ?? $slug;

        return self::asked(['slug' => $slug, 'title' => $title], $as->firmware, $possible, $user, [
            'machine_title' => $at['machine'],
            ...$this->parts($job),
            'job_id' => $job->id,
            'step' => $at['step'],
            'number' => $at['number'],
            'trusts' => $as->trusts,
        ]);
    }

    /**
     * The next power-on: without the stick, from the drive that an installer wrote in a start before.
     *
     * @throws ValidationException where there is no such drive any more
     */
    public function askNext(ProvingStart $before, User $user): ProvingStart
    {
        if (! $before->hasSystem() || ! is_file($before->drive())) {
            throw ValidationException::withMessages([
                'as' => 'The drive of that start is not kept any more, or nothing was put on it. Start the stick '
                    .'again.',
            ]);
        }
        $raw = (new DriveFile($before->drive()))->asRaw(tempnam(sys_get_temp_dir(), 'cobble-drive-') ?: '');
        try {
            $as = new EmulatedAs($before->kind(), $before->trusts ?? []);
            $possible = (new StickRehearsal($this->catalogue->catalogue()))->predictAs($raw, $as);
        } finally {
            @unlink($raw);
        }

        return self::asked(['slug' => $before->slug, 'title' => $before->title], $as->firmware, $possible, $user, [
            ...$before->only(['machine_title', 'memory_mib', 'machine_memory', 'drive_bytes', 'drive_bus', 'job_id']),
            ...$before->only(['step', 'number', 'trusts']),
            'drive_of' => $before->id,
        ]);
    }

    /** @return array<string, mixed> memory and drive like those of the job's machine, as columns */
    private function parts(Job $job): array
    {
        $target = DriveFile::isAvailable() ? Layouts::of($job->currentPlan()->typed())->target : null;
        $machine = $this->bridge->machine($job);
        $drive = array_values(array_filter(
            $machine->internalDrives(),
            static fn (Drive $one): bool => $one->size->count === $target?->bytes,
        ))[0] ?? null;
        $memory = $machine->fact('memory_bytes')->value;
        $parts = EmulatedParts::like(is_int($memory) ? $memory : null, $target?->bytes, $drive?->transport);

        return [
            'memory_mib' => $parts->lentMib,
            'machine_memory' => $parts->memory,
            'drive_bytes' => $parts->driveBytes,
            'drive_bus' => $parts->driveBytes === null ? null : $parts->bus->value,
        ];
    }

    /** @throws ValidationException */
    private static function canBeStarted(?string $path): string
    {
        $missing = EmulatedMachine::missing();
        if ($missing !== '' || $path === null || ! is_file($path)) {
            throw ValidationException::withMessages([
                'as' => $missing !== '' ? $missing : 'It is not there any more, so nothing can be started from it.',
            ]);
        }

        return $path;
    }

    /**
     * @param  array<string, mixed>  $medium  its columns
     * @param  array<string, mixed>  $machine  the columns of the machine
     */
    private static function asked(
        array $medium,
        EmulatedFirmware $firmware,
        Possibilities $possible,
        User $user,
        array $machine,
    ): ProvingStart {
        return ProvingStart::query()->create([
            ...$medium,
            ...$machine,
            'firmware' => $firmware->value,
            'state' => 'waiting',
            'predicted' => implode('|', StickStart::toArray($possible)['possible']),
            'user_id' => $user->id,
        ]);
    }
}
