<?php

declare(strict_types=1);

namespace Cobblestone\Media\Inspection;

/** Judges a loader against the certificates of a machine (rule M2; the tool does the cryptography). */
final readonly class LoaderJudge
{
    /** A first stage of this kind carries the certificate it checks the next stage with. */
    private const VENDOR_SECTIONS = ['.vendor_cert', '.vendor_'];

    public function __construct(private SignatureTool $tool, private Signers $signers)
    {
    }

    /**
     * @param  string|null  $next  bytes of the next stage; null where it is missing
     * @param  bool  $hasNext  whether the loader is known to load another one
     * @return array{0: LoaderTrust, 1: string} the verdict and its reason
     */
    public function judge(string $bytes, bool $hasNext = false, ?string $next = null): array
    {
        $pe = PeImage::read($bytes);
        if (
            $pe !== null &&
            $this->signers->allowed !== [] &&
            in_array($pe->digest(), $this->signers->allowed, true) &&
            ! in_array($pe->digest(), $this->signers->revoked ?? [], true)
        ) {
            return [LoaderTrust::Trusted, 'Its digest itself is enrolled ('.$this->signers->source.').'];
        }
        if ($pe === null || ! $pe->isSigned()) {
            return [LoaderTrust::Unsigned, 'It carries no signature.'];
        }
        $stated = $pe->statedDigest();
        if ($stated === null) {
            return [LoaderTrust::CannotTell, 'Its signature states no SHA-256 digest that could be compared.'];
        }
        $digest = $pe->digest();
        if ($digest !== $stated) {
            return [
                LoaderTrust::Altered,
                'Its digest is '.
                substr($digest, 0, 16).
                '…, the signature was made over '.
                substr($stated, 0, 16).
                '….',
            ];
        }
        if (in_array($digest, $this->signers->revoked ?? [], true)) {
            return [
                LoaderTrust::Revoked,
                'Its digest '.
                substr($digest, 0, 16).
                "… is on the list of revocations ({$this->signers->source}).",
            ];
        }

        return $this->bySigner($bytes, $hasNext, $pe, $next);
    }

    /**
     * @return array{0: LoaderTrust, 1: string}
     */
    private function bySigner(string $bytes, bool $hasNext, PeImage $pe, ?string $next): array
    {
        $revokedBy = $this->revokedSignerOf($bytes);
        if ($revokedBy !== null) {
            return [LoaderTrust::Revoked, "{$revokedBy} ({$this->signers->source})."];
        }
        $signer = $this->signerOf($bytes);
        if ($signer === null) {
            return ! $this->signers->areKnown()
                ? [LoaderTrust::CannotTell, 'The signature holds, but '.$this->signers->source.'.']
                : [
                    LoaderTrust::SignerNotEnrolled,
                    'Its chain ends in none of: '.
                    implode(', ', array_keys([...$this->signers->certificates, ...$this->signers->fingerprints])).
                    " ({$this->signers->source}).",
                ];
        }
        if ($hasNext) {
            $fault = $this->nextStageFault($pe, $next);
            if ($fault !== null) {
                return [LoaderTrust::NextStage, $fault];
            }
        }

        return $this->signers->revoked === null
            ? [LoaderTrust::CannotTell, "Its chain ends in {$signer}, but no list of revocations is known."]
            : [
                LoaderTrust::Trusted,
                "Its chain ends in {$signer}, and it is not on the list of revocations ({$this->signers->source}).",
            ];
    }

    /** The name of the enrolled signer that a loader's chain ends in; null where it is none of them. */
    public function signerOf(string $bytes): ?string
    {
        foreach ($this->signers->certificates as $name => $certificate) {
            if ($this->tool->chainsTo($bytes, $certificate)) {
                return (string) $name;
            }
        }
        // Where only fingerprints are enrolled, the certificate has to come with the signature.
        foreach ($this->signers->fingerprints === [] ? [] : $this->tool->certificates($bytes) as $certificate) {
            $name = array_search(hash('sha256', Der::ofPem($certificate)), $this->signers->fingerprints, true);
            if ($name !== false && $this->tool->chainsTo($bytes, $certificate)) {
                return (string) $name;
            }
        }

        return null;
    }

    private function revokedSignerOf(string $bytes): ?string
    {
        foreach ($this->signers->revokedCertificates as $certificate) {
            if ($this->tool->chainsTo($bytes, $certificate)) {
                return 'Its chain ends in a certificate that is revoked';
            }
        }
        foreach ($this->signers->revokedSigned === [] ? [] : $this->tool->certificates($bytes) as $certificate) {
            if (
                in_array(
                    hash('sha256', Der::signedPart(Der::ofPem($certificate))),
                    $this->signers->revokedSigned,
                    true,
                )
            ) {
                return 'A certificate in its signature is revoked by its digest';
            }
        }

        return null;
    }

    /** Why the first loader would refuse the next one while Secure Boot is in force; null where it would not. */
    public function nextStageFault(PeImage $first, ?string $next): ?string
    {
        if ($next === null) {
            return 'The next loader is not there.';
        }
        $pe = PeImage::read($next);
        if ($pe === null || ! $pe->isSigned()) {
            return 'The next loader carries no signature.';
        }
        if ($this->signerOf($next) !== null) {
            return null;
        }
        $own = self::vendorCertificate($first);

        return $own !== null && $this->tool->chainsTo($next, $own)
            ? null
            : 'The next loader is signed, but neither by an enrolled signer nor by the one that the first loader '
                .'carries.';
    }

    /** Two sizes, two offsets, then the certificate as DER. */
    private static function vendorCertificate(PeImage $first): ?string
    {
        $section = $first->section(self::VENDOR_SECTIONS[0]) ?? $first->section(self::VENDOR_SECTIONS[1]);
        if ($section === null || strlen($section) < 16) {
            return null;
        }
        /** @var array{size: int, denied: int, at: int} $head */
        $head = unpack('Vsize/Vdenied/Vat', $section);
        $der = substr($section, $head['at'], $head['size']);

        return $der === ''
            ? null
            : "-----BEGIN CERTIFICATE-----\n".
                    chunk_split(base64_encode($der), 64, "\n").
                    "-----END CERTIFICATE-----\n";
    }
}
