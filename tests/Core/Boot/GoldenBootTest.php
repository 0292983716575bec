<?php

use Cobblestone\Boot\Advice;
use Cobblestone\Boot\BootScene;
use Cobblestone\Boot\KindFound;
use Cobblestone\Boot\KindTable;
use Cobblestone\Boot\Medium\MediumReader;
use Cobblestone\Boot\Model\BootModel;
use Cobblestone\Boot\Model\Measurement;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\Model\PassedEntry;
use Cobblestone\Boot\Model\Stone;
use Cobblestone\Boot\PowerOn;
use Cobblestone\Boot\Reality;
use Cobblestone\Boot\Rehearsal;
use Cobblestone\Boot\StickStart;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Media\Inspection\SignatureTool;
use Cobblestone\Media\Inspection\Signers;
use Cobblestone\Runbook\Wants;
use Tests\Support\BootBench as Bench;
use Tests\Support\BootEnd;
use Tests\Support\Demo;
use Tests\Support\Images;

it('says every end in these words', function () {
    $found = [];
    foreach (BootEnd::everyOne() as $name => $case) {
        $prediction = BootModel::start($case()[0]);
        $found[$name] = [
            'outcome' => $prediction->outcome->value,
            'device' => $prediction->device,
            'stones' => array_map(static fn (Stone $one): array => $one->toArray(), $prediction->stones),
            'ground' => $prediction->ground->value,
            'times' => $prediction->times,
            'rests_on' => $prediction->rests,
            'passed' => array_map(static fn (PassedEntry $one): array => $one->toArray(), $prediction->passed),
            'advice' => Advice::for($prediction)->fix,
            'who' => Advice::for($prediction)->who,
        ];
    }
    holdsGolden('boot/ends', $found);
});

it('says every outcome in these words', function () {
    $found = [];
    foreach (Outcome::cases() as $outcome) {
        $found[$outcome->value] = [
            $outcome->title(),
            $outcome->seen(),
            $outcome->distance(),
            $outcome->ofAStick(),
            Advice::forOutcome($outcome)->fix,
            Advice::forOutcome($outcome)->who,
        ];
    }
    foreach (Wants::cases() as $wants) {
        $found[$wants->value] = array_map(
            fn (Outcome $one): string => $one->value,
            Reality::choices($wants, Outcome::LoaderStopped, [Outcome::Silent]),
        );
    }
    $found['values'] = FactRegistry::values();
    holdsGolden('boot/outcomes', $found);
});

it('rehearses these paths in these words', function (string $job) {
    $plan = Demo::plan($job);
    holdsGolden(
        "boot/path-{$job}",
        array_map(
            fn (PowerOn $start): array => $start->found()->toArray(),
            Rehearsal::run(BootScene::fromArray($plan->assessment->all()['boot']), $plan->steps),
        ),
    );
})->with(['fairlead-13', 'locked-capstan', 'unknown-laptop', 'firmware-update', 'cable-restore', 'factory-restore']);

it('sees these media', function (string $image) {
    $chains = [];
    foreach (['a' => ['signed.efi']] as $certificate => $loaders) {
        $chains[$certificate] = array_map(Images::bytes(...), $loaders);
    }
    $medium = MediumReader::read(
        Images::source($image),
        Images::tools(chains: $chains)->signatures(),
        new Signers(['ours' => 'a'], [], 'a test'),
    );
    $named = MediumReader::read(
        Images::source($image),
        Images::tools(chains: $chains)->signatures(),
        new Signers(['platform' => 'a'], [], 'a test'),
        true,
    );
    $kinds = [];
    foreach (StickStart::KINDS as $kind => $facts) {
        $kinds[$kind] = StickStart::toArray(StickStart::predict($medium, [...$facts, 'architecture' => 'x86-64']));
    }
    holdsGolden('boot/medium-'.str_replace('.', '-', $image), [
        'medium' => $medium->toArray(),
        'by name' => array_map(
            fn ($volume): array => array_map(
                fn ($loader): array => [$loader->signer, $loader->judged?->value, $loader->because],
                $volume->loaders,
            ),
            $named->volumes,
        ),
        'kinds' => $kinds,
        'table' => array_map(
            static fn (KindFound $row): array => $row->toArray(),
            KindTable::of($medium, 'x86-64', new Cobblestone\Boot\Keys\TrustedSigners),
        ),
    ]);
})->with([
    'disk-gpt.img',
    'hybrid-gpt.iso',
    'hybrid-mbr.iso',
    'plain.iso',
    'both.iso',
    'udf.iso',
    'fat12.img',
    'fat32.img',
    'stage-missing.img',
    'stage-unsigned.img',
    'stage-signed.img',
    'stage-arm.img',
    'stage-short.img',
    'stage-words.img',
    'stage-odd.img',
]);

it('checks the next loader as the first one does', function (string $image) {
    $found = [];
    foreach (['first only' => 'first', 'both' => ''] as $trusted => $mark) {
        $tool = new class($mark) implements SignatureTool
        {
            public function __construct(private string $mark)
            {
            }

            public function signers(string $loader): array
            {
                return [];
            }

            public function certificates(string $loader): array
            {
                return [];
            }

            public function chainsTo(string $loader, string $certificate): bool
            {
                return str_contains($loader, mb_convert_encoding($this->mark, 'UTF-16LE'));
            }
        };
        $medium = MediumReader::read(Images::source($image), $tool, new Signers(['ours' => 'a'], [], 'a test'));
        $found[$trusted] = [
            $medium->volumes[0]->loaders[0]->toArray(),
            ...array_map(
                fn (array $facts): array => array_intersect_key(
                    StickStart::toArray(StickStart::predict($medium, [...$facts, 'architecture' => 'x86-64'])),
                    ['outcome' => 1, 'cause' => 1, 'fix' => 1, 'ground' => 1],
                ),
                StickStart::KINDS,
            ),
        ];
    }
    holdsGolden('boot/next-'.str_replace('.', '-', $image), $found);
})->with(['stage-missing.img', 'stage-unsigned.img', 'stage-signed.img', 'stage-arm.img']);

it('measures these things', function () {
    holdsGolden('boot/measured', [
        Measurement::of(Bench::state()),
        Measurement::of(
            Bench::state(
                [
                    'firmware.key_mode' => 'setup',
                    'firmware.version' => 12,
                    'firmware.security_chip' => true,
                    'machine.cards' => 'x',
                    'board.serial' => 'b',
                    'machine.holding-drive' => 'd',
                    'system.loader' => 'l',
                    'firmware.revocations' => 'r',
                    'firmware.third_party_signer' => 'trusted',
                ],
                [Bench::drive(), Bench::stick()],
            ),
        ),
        Measurement::of(Bench::state(['firmware.secure_boot' => null], [Bench::stick(), Bench::drive()])),
        Measurement::of(Bench::state(['firmware.older_devices' => 'allowed'])),
        Measurement::of(Bench::state(['firmware.boot_mode' => 'legacy'])),
        Measurement::of(Bench::state(['firmware.secure_boot' => 'off'])),
    ]);
});
