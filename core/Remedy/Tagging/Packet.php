<?php

declare(strict_types=1);

namespace PlainLedger\Core\Remedy\Tagging;

use PlainLedger\Core\Media\Readers\ProjectionTag;

/**
 * The packet of metadata (ISO 16684-1) that says that a picture is a sphere. A packet that is there is kept and gets
 * one more description. Identifiers that the formats fix are told in bytes.
 */
final readonly class Packet
{
    /** Before a packet in a JPEG file. */
    public const IN_JPEG = "\x68\x74\x74\x70\x3A\x2F\x2F\x6E\x73\x2E\x61\x64\x6F\x62\x65\x2E\x63\x6F\x6D\x2F\x78\x61"
        ."\x70\x2F\x31\x2E\x30\x2F\x00";

    /** The keyword of a packet among the texts of a PNG file. */
    public const IN_PNG = "\x58\x4D\x4C\x3A\x63\x6F\x6D\x2E\x61\x64\x6F\x62\x65\x2E\x78\x6D\x70";

    private const SPACE = "\x68\x74\x74\x70\x3A\x2F\x2F\x6E\x73\x2E\x67\x6F\x6F\x67\x6C\x65\x2E\x63\x6F\x6D"
        .'/photos/1.0/panorama/';

    private const META = "\x61\x64\x6F\x62\x65:ns:meta/";

    /** @throws TagRefused where the packet that is there cannot be added to */
    public static function with(string $before, string $projection, int $width, int $height): string
    {
        if ($projection !== 'lat-long') {
            throw TagRefused::because('', "{$projection} cannot be written into a picture of its kind");
        }
        if (ProjectionTag::in($before) !== null) {
            return $before;
        }
        $description = '<rdf:Description rdf:about="" xmlns:GPano="'.self::SPACE.'"'
            .' GPano:ProjectionType="equirectangular" GPano:UsePanoramaViewer="True"'
            ." GPano:FullPanoWidthPixels=\"{$width}\" GPano:FullPanoHeightPixels=\"{$height}\""
            ." GPano:CroppedAreaImageWidthPixels=\"{$width}\" GPano:CroppedAreaImageHeightPixels=\"{$height}\""
            .' GPano:CroppedAreaLeftPixels="0" GPano:CroppedAreaTopPixels="0"/>';
        if ($before === '') {
            return "<?xpacket begin=\"\u{FEFF}\" id=\"W5M0MpCehiHzreSzNTczkc9d\"?>"
                .'<x:xmpmeta xmlns:x="'.self::META.'"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">'
                .$description.'</rdf:RDF></x:xmpmeta><?xpacket end="w"?>';
        }
        $at = strrpos($before, '</rdf:RDF>');

        return $at === false
            ? throw TagRefused::because('', 'its metadata are not built as they should be')
            : substr_replace($before, $description, $at, 0);
    }
}
