<?php

declare(strict_types=1);

namespace Cobblestone\Drivers\Matching;

/** Why a package that claims a device is not the one, with the figures that decided (rule D3). */
final class RefusalWords
{
    public static function of(Refusal $refusal): string
    {
        $offer = $refusal->offer();
        $claim = $refusal->candidate->claim;
        $target = $refusal->target;

        return match ($refusal->because) {
            RefusedBecause::Architecture => "It is for {$claim->architecture}, and the system is for "
                ."{$target->architecture}.",
            RefusedBecause::Build => self::build($offer, $claim, $target),
            RefusedBecause::Model => self::model($refusal),
            RefusedBecause::Revision => self::revision($refusal),
            RefusedBecause::Signature => 'It is not signed, and the system takes only what is.',
            RefusedBecause::Specificity => self::narrower($refusal),
            RefusedBecause::Channel => "It comes from the channel \"{$offer->channel}\", and the bench prefers "
                ."\"{$target->channel}\".",
            RefusedBecause::Date => self::dates($offer->date, $refusal->winner?->offer->date),
            RefusedBecause::Version => self::versions($offer, $refusal->winner?->offer),
        };
    }

    private static function build(PackageOffer $offer, OfferedClaim $claim, MatchTarget $target): string
    {
        return match (true) {
            $offer->systems !== null
                && ! in_array($target->system, $offer->systems, true) => 'It is for another system.',
            $offer->setupFile !== null && ! $target->readsSetupFiles => 'The system installs nothing from '
                .'setup-information files.',
            $claim->fromBuild !== null && $claim->fromBuild > $target->build => 'It is for builds from '
                ."{$claim->fromBuild} on, and the system is build {$target->build}.",
            default => "It is for builds up to {$offer->toBuild}, and the system is build {$target->build}.",
        };
    }

    private static function model(Refusal $refusal): string
    {
        $offer = $refusal->offer();
        $locked = $offer->models !== [] && ! in_array($refusal->target->model, $offer->models, true);

        return match (true) {
            $locked && $refusal->target->model === null => 'It is locked to '.self::listed($offer->models)
                .', and the model of this machine is not known.',
            $locked => 'It is locked to '.self::listed($offer->models).'.',
            $refusal->candidate->refused !== null => 'It says itself that it is not for this device as it was fitted '
                .'here.',
            default => 'Another is made for exactly this model.',
        };
    }

    private static function revision(Refusal $refusal): string
    {
        $offer = $refusal->offer();
        $of = strstr($refusal->candidate->claim->identifier, '#');
        $board = $refusal->target->revision;

        return match (true) {
            $offer->revisions !== [] && $board === null => 'It is for revision '.self::listed($offer->revisions)
                .' of the board, and nobody has read which one this is.',
            $offer->revisions !== [] && ! in_array($board, $offer->revisions, true) => 'It is for revision '
                .self::listed($offer->revisions)." of the board, and this is {$board}.",
            $of !== false => 'It is for revision '.strtok(substr($of, 1), '@').' of the device only.',
            default => 'It says itself that it is not for this revision of the device.',
        };
    }

    private static function narrower(Refusal $refusal): string
    {
        $own = $refusal->candidate->claim;
        $other = $refusal->winner?->claim;

        return $own->identifier === $other?->identifier
            ? "It only works with {$own->identifier}, and another is made for it."
            : "It claims {$own->identifier}, and another names this device more narrowly: {$other?->identifier}.";
    }

    private static function dates(?string $own, ?string $other): string
    {
        return $own === null
            ? "It has no date, and another is of {$other}."
            : "It is of {$own}, and another of {$other}.";
    }

    private static function versions(PackageOffer $own, ?PackageOffer $other): string
    {
        if ($own->line !== $other?->line || version_compare((string) $own->version, (string) $other->version) === 0) {
            return 'Nothing tells it from the one that was taken, which stands before it on the shelf.';
        }

        return "It is version {$own->version}, and another of the same line is {$other->version}.";
    }

    /** @param  list<string>  $names */
    private static function listed(array $names): string
    {
        return implode(', ', $names);
    }
}
