<?php

use Cobblestone\Media\Inspection\LoaderJudge;
use Cobblestone\Media\Inspection\LoaderTrust;
use Cobblestone\Media\Inspection\PeImage;
use Cobblestone\Media\Inspection\SignatureTool;
use Cobblestone\Media\Inspection\Signers;
use Tests\Support\Images;

it('takes the vendor\'s certificate from either name of its section', function (string $name, bool $found) {
    $der = 'certificate of the vendor';
    $section = pack('V4', strlen($der), 0, 16, 41).$der;
    $first = peBytes(sections: [['.text', 512, 16], [$name, 528, strlen($section)]]);
    $first = substr_replace($first, $section, 528, strlen($section));
    $content = "\x06\x0A\x2B\x06\x01\x04\x01\x82\x37\x02\x01\x04\x06\x09\x60\x86\x48\x01\x65\x03\x04\x02\x01\x04\x20";
    $sign = function (string $bytes) use ($content) {
        $entry = 64 + 24 + 112 + 32;
        $bytes = substr_replace($bytes, pack('VV', strlen($bytes), strlen($content) + 32), $entry, 8);

        return $bytes.$content.hex2bin(PeImage::read($bytes.$content.str_repeat("\0", 32))->digest());
    };
    [$first, $next] = [$sign($first), $sign(peBytes())];
    $tool = new class($first, $next) implements SignatureTool
    {
        public function certificates(string $loader): array
        {
            return [];
        }

        /** @var list<string> */
        public array $asked = [];

        public function __construct(private string $first, private string $next)
        {
        }

        public function signers(string $loader): array
        {
            return [];
        }

        public function chainsTo(string $loader, string $certificate): bool
        {
            $this->asked[] = $certificate;

            return $certificate === 'P'
                ? $loader === $this->first
                : $loader === $this->next && str_contains($certificate, base64_encode('certificate of the vendor'));
        }
    };
    [$trust] = (new LoaderJudge($tool, new Signers(['platform' => 'P'], [], 'here')))->judge($first, true, $next);
    expect($trust)->toBe($found ? LoaderTrust::Trusted : LoaderTrust::NextStage);
    if ($found) {
        expect(end($tool->asked))->toBe(
            "-----BEGIN CERTIFICATE-----\n".base64_encode($der)."\n-----END CERTIFICATE-----\n",
        );
    }
})->with([['.vendor_', true], ['.vendorX', false]]);

it('says no certificates are known when none are', function () {
    expect(Signers::unknown())
        ->certificates->toBe([])
        ->revoked->toBeNull()
        ->source->toBe('no certificates are known here')
        ->and(PeImage::read(Images::bytes('signed.efi'))->isWhole())
        ->toBeTrue();
});
