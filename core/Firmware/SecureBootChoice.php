<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\Signer;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Decision;

/**
 * What Secure Boot must be for the stick and afterwards; the signer is compared before off is ever proposed (rules
 * F6, F10, M2).
 */
final readonly class SecureBootChoice
{
    /** @param  list<Need>  $needs */
    private function __construct(public Decision $decision, public array $needs)
    {
    }

    /** @param  Signer|null  $signer  whose signature the image's loader carries, where the catalogue knows */
    public static function decide(Machine $machine, SystemProfile $system, Image $image, ?Signer $signer): self
    {
        $bySwitch = $signer?->switch;
        $facts = [
            "firmware.secure_boot = {$machine->fact('firmware.secure_boot')->spoken()}",
            'loader '.
            match ($image->loaderSigned()) {
                true => "signed by the {$image->signer()} signer",
                false => 'unsigned',
                null => 'not inspected',
            },
            $system->dated(),
        ];

        return match (true) {
            $machine->fact('firmware.kind')->is('bios') => self::doesNotApply($facts),
            $machine->fact('stick.refused')->is('yes') &&
                $image->loaderSigned() !== false &&
                $bySwitch === null => self::refused($system, $image, $facts),
            $image->loaderSigned() === null => self::unknown($facts),
            $image->loaderSigned() === false => self::unsigned($system, $image, $facts),
            $signer !== null && $bySwitch !== null => self::bySwitch($machine, $system, $signer, $bySwitch, $facts),
            default => new self(
                self::decision(
                    'on',
                    [
                        'The stick\'s loader is signed by a signer this model trusts.',
                        "{$system->name} is signed too, so it stays on.",
                    ],
                    ['off' => ['Nothing on this path needs it off.']],
                    $facts,
                    'F10',
                ),
                self::after($system),
            ),
        };
    }

    /**
     * @param  list<string>  $facts
     */
    private static function doesNotApply(array $facts): SecureBootChoice
    {
        return new self(
            self::decision(
                'does not apply',
                ['This firmware starts the old way only and asks for no signature.'],
                [],
                $facts,
                'F2',
            ),
            [],
        );
    }

    /** @param  list<string>  $facts */
    private static function unknown(array $facts): self
    {
        return new self(
            self::decision(
                'leave as it is',
                [
                    'Nobody has inspected the loader yet. If the machine refuses it, that is seen before anything is '
                        .'erased.',
                ],
                ['off' => ['Not before there is a reason: the loader may well be signed.']],
                $facts,
                'M2',
            ),
            [],
        );
    }

    /**
     * It was tried, and this machine refused it.
     *
     * @param  list<string>  $facts
     */
    private static function refused(SystemProfile $system, Image $image, array $facts): self
    {
        $stays = $system->firmware->secureBootAfter === 'off';

        return new self(
            self::decision(
                $stays ? 'off, and it stays off' : 'off for the stick, back on after',
                [
                    "This machine has refused {$image->name} at a start.",
                    $stays
                        ? "{$system->name} is unsigned too, so it stays off: signed once at the end."
                        : 'It goes back on as soon as the stick is out.',
                ],
                [
                    'on' => ['It was tried.'],
                    'enrol a signer' => [
                        'Possible where the setup lets keys be added; the smaller change where it does.',
                    ],
                ],
                [...$facts, 'stick.refused = yes'],
                'F10',
            ),
            [
                new Need(
                    'secure_boot',
                    'off',
                    'This machine refused the stick\'s loader.',
                    'F10',
                    stays: $stays,
                    weakens: true,
                ),
            ],
        );
    }

    /** @param  list<string>  $facts */
    private static function unsigned(SystemProfile $system, Image $image, array $facts): self
    {
        $stays = $system->firmware->secureBootAfter === 'off';
        $after = $stays
            ? "{$system->name} is unsigned too, so it stays off: signed once at the end."
            : "{$system->name} itself is signed, so it goes back on at the end.";

        return new self(
            self::decision(
                $stays ? 'off, and it stays off' : 'off for the stick, back on after',
                [
                    "The loader of {$image->name} carries no signature: with Secure Boot on this machine refuses it.",
                    $after,
                ],
                ['on' => ['The stick would be refused.'], 'enrol a signer' => ['There is no signature to enrol.']],
                $facts,
                'F10',
            ),
            [
                new Need(
                    'secure_boot',
                    'off',
                    'The loader on the stick is unsigned.',
                    'F10',
                    stays: $stays,
                    weakens: true,
                ),
            ],
        );
    }

    /**
     * Signed by somebody whom machines trust by a setting, or not at all.
     *
     * @param  list<string>  $facts
     */
    private static function bySwitch(
        Machine $machine,
        SystemProfile $system,
        Signer $signer,
        string $setting,
        array $facts,
    ): self {
        $called = "the {$signer->id} signer";
        $trusts = in_array($signer->id, $machine->model->firmware->trusts ?? [], true);
        $facts[] = "firmware.{$setting} = {$machine->fact("firmware.{$setting}")->spoken()}";
        $hasSwitch = $machine->setting($setting) !== null;
        if (! $hasSwitch && $machine->isCatalogued() && ! $trusts) {
            return self::neverTrusted($facts);
        }
        $reason = "The loader is signed by {$called}, which this model trusts by a switch.";
        $decision = self::decision(
            "on, with {$called} trusted",
            [
                "The loader is signed by {$called}.",
                $hasSwitch
                    ? 'This model has a switch for that signer; it is the smaller change.'
                    : 'This model trusts it.',
            ],
            ['off' => ['It would lower protection for every start, and only the signer is missing.']],
            $facts,
            'F10',
        );

        return new self(
            $decision,
            [...$hasSwitch ? [new Need($setting, 'trusted', $reason, 'F10')] : [], ...self::after($system)],
        );
    }

    /** @param  list<string>  $facts */
    private static function neverTrusted(array $facts): self
    {
        $reason = 'This model does not trust the loader\'s signer.';

        return new self(
            self::decision(
                'off, and it stays off',
                ['This model does not know the signer of the stick and has no switch for it.'],
                ['on' => ['The stick would be refused.']],
                $facts,
                'F10',
            ),
            [new Need('secure_boot', 'off', $reason, 'F10', stays: true, weakens: true)],
        );
    }

    /** @return list<Need> */
    private static function after(SystemProfile $system): array
    {
        return $system->firmware->secureBootAfter === 'on'
            ? [new Need('secure_boot', 'on', "{$system->name} is signed: it is left with Secure Boot on.", 'F6')]
            : [];
    }

    /**
     * @param  list<string>  $reasons
     * @param  array<string, list<string>>  $refused
     * @param  list<string>  $facts
     */
    private static function decision(
        string $chosen,
        array $reasons,
        array $refused,
        array $facts,
        string $rule,
    ): Decision {
        return new Decision('firmware.secure-boot', 'Secure Boot', $chosen, $reasons, $refused, $facts, $rule);
    }
}
