<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Assessment\Encryption\Binding;
use Cobblestone\Assessment\Encryption\Protection;
use Cobblestone\Boot\BootScene;
use Cobblestone\Boot\Keys\TrustedSigners;
use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Boot\Medium\Seal;
use Cobblestone\Boot\Model\BootDevice;
use Cobblestone\Boot\Model\BootEntry;
use Cobblestone\Boot\Model\BootState;
use Cobblestone\Boot\Model\Measurement;
use Cobblestone\Boot\Quirk;
use Cobblestone\Job\Path\PathDraft;
use Cobblestone\Machine\Certainty;
use Cobblestone\Machine\Model\FirmwareSetting;

/**
 * The machine of a job as the rehearsal starts from it: facts, drives, and what the path will put on them (rules B,
 * F2, A7).
 */
final readonly class BootSceneOf
{
    /** Facts besides the firmware's settings that a start may rest on. */
    private const FACTS = [
        'architecture',
        'firmware.kind',
        'firmware.boot_mode',
        'firmware.secure_boot',
        'firmware.version',
        'board.serial',
    ];

    public static function job(JobContext $context, PathDraft $draft): BootScene
    {
        [$facts, $assumed] = self::facts($context);
        $media = new SceneMedia($context, $facts);
        $devices = $entries = $order = [];
        $installs = ! $context->kind()->keepsSystem();
        $blank = $context->kind()->isNewBuild();
        $old = $blank ? Medium::blank() : $media->present($installs);
        $devices[] = self::target($context, $old);
        if (
            ! $blank &&
            $facts['firmware.kind'] !== 'sealed' &&
            $old->volumes !== [] &&
            $old->volumes[0]->guid !== null
        ) {
            $entries[] = self::presentEntry($old);
            $order[] = 'present';
        }
        $order[] = BootScene::TARGET;
        foreach ($installs && ! $blank ? $media->others() : [] as $index => $other) {
            $id = 'drive-'.($index + 2);
            $devices[] = new BootDevice($id, $other['title'], BootDevice::DRIVE, $other['medium']);
            $order[] = $id;
        }
        if ($context->kind()->startsRecovery()) {
            $devices[] = self::recovery($media);
        }
        $stick = $context->image === null || $facts['firmware.kind'] === 'sealed' ? null : $media->stick();
        if ($stick !== null) {
            $devices[] = self::stick($draft);
            $order[] = 'stick';
        }
        $signers = $context->trustedSigners();
        $state = self::state($facts, $assumed, $signers, $devices, $entries, $order);
        $state = self::sealed($state, $draft);

        return self::scene($state, $stick, $media, $installs, $context);
    }

    private static function target(JobContext $context, Medium $old): BootDevice
    {
        return new BootDevice(
            BootScene::TARGET,
            $context->kind()->fitsDrive() ? 'The new drive' : 'The drive',
            BootDevice::DRIVE,
            $old,
        );
    }

    private static function presentEntry(Medium $old): BootEntry
    {
        return new BootEntry(
            'present',
            'The system on the drive',
            BootScene::TARGET,
            $old->volumes[0]->guid,
            SceneMedia::PRESENT_PATH,
        );
    }

    private static function recovery(SceneMedia $media): BootDevice
    {
        return new BootDevice(
            'recovery',
            'The recovery on the drive',
            BootDevice::DRIVE,
            $media->recovery(),
        );
    }

    private static function stick(PathDraft $draft): BootDevice
    {
        return new BootDevice(
            'stick',
            $draft->stick === null ? 'The stick' : "Stick {$draft->stick}",
            BootDevice::STICK,
            Medium::blank(),
            attached: false,
        );
    }

    /**
     * @param  array<string, bool|float|int|string|null>  $facts
     * @param  list<string>  $assumed
     * @param  list<BootDevice>  $devices
     * @param  list<BootEntry>  $entries
     * @param  list<string>  $order
     */
    private static function state(
        array $facts,
        array $assumed,
        TrustedSigners $signers,
        array $devices,
        array $entries,
        array $order,
    ): BootState {
        return new BootState(
            $facts,
            $assumed,
            $signers->always,
            $devices,
            $entries,
            $order,
            switches: $signers->switches,
        );
    }

    private static function scene(
        BootState $state,
        ?Medium $stick,
        SceneMedia $media,
        bool $installs,
        JobContext $context,
    ): BootScene {
        return new BootScene(
            $state,
            $stick,
            $media->system($installs),
            $installs ? $media->systemEntry() : null,
            self::defaults($context),
            self::quirks($context),
        );
    }

    /** @return array{0: array<string, bool|int|float|string|null>, 1: list<string>} */
    private static function facts(JobContext $context): array
    {
        $values = $assumed = [];
        $sheet = $context->machine->facts;
        $names = [
            ...self::FACTS,
            ...array_map(
                static fn (FirmwareSetting $setting): string => $setting->fact(),
                $context->machine->settings(),
            ),
        ];
        $known = array_keys($sheet->all());
        sort($known);
        array_push(
            $names,
            ...array_filter($known, static fn (string $name): bool => str_starts_with($name, 'firmware.')),
        );
        if (! $context->machine->isCatalogued()) {
            array_push($names, ...array_keys($context->trustedSigners()->unknown()));
        }
        foreach (array_unique($names) as $name) {
            $fact = $sheet->get($name);
            $values[$name] = is_scalar($fact->value) ? $fact->value : null;
            if ($fact->certainty === Certainty::Assumed && self::canBeLookedAt($context, $name)) {
                $assumed[] = $name;
            }
        }

        return [$values, $assumed];
    }

    /**
     * Whether what is assumed could turn out otherwise: a setting the model has, or anything of a machine nobody has
     * described.
     * A present system starts today, whatever its settings are, so nothing of it is doubted.
     */
    private static function canBeLookedAt(JobContext $context, string $fact): bool
    {
        return ! $context->kind()->keepsSystem() &&
            (! $context->machine->isCatalogued() || $context->machine->setting(substr($fact, 9)) !== null);
    }

    /** The volume of the present system, bound to the machine as it stands. */
    private static function sealed(BootState $state, PathDraft $draft): BootState
    {
        $protection = $draft->findings->encryption->protection ?? Protection::None;
        $device = $state->device(BootScene::TARGET);
        if ($device === null || ! in_array($protection, [Protection::Chip, Protection::ChipAndPin], true)) {
            return $state;
        }
        $binding = $draft->findings->encryption->boundTo ?? Binding::Unknown;

        return $state->withDevice(
            $device->with($device->medium->sealed(new Seal($protection, $binding, Measurement::of($state)))),
        );
    }

    /** @return array<string, string> */
    private static function defaults(JobContext $context): array
    {
        $defaults = [];
        foreach ($context->machine->settings() as $setting) {
            $defaults[$setting->fact()] = $setting->default;
        }

        return $defaults;
    }

    /** @return list<Quirk> */
    private static function quirks(JobContext $context): array
    {
        return array_map(Quirk::of(...), $context->machine->model->firmware->quirks ?? []);
    }
}
