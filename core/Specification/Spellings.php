<?php

declare(strict_types=1);

namespace PlainLedger\Core\Specification;

use PlainLedger\Core\Naming\NamePattern;

/** What people of the trade, and programs, also write for a value, and the word it is kept by. */
final readonly class Spellings
{
    /** Patterns and what stands for them, by id: units that the value is counted by anyway, and other forms of a number. */
    private const REWRITTEN = [
        RequirementId::PICTURE_SCALE => [['~\s*percent$~i'], ['']],
        RequirementId::PICTURE_DENSITY => [
            ['~\s*(?:dpi|ppi|(?:pixels|dots)(?:\s+(?:per|an|a|to the)\s+|/)inch)$~i'],
            [''],
        ],
        RequirementId::TIME_RATE => [
            [
                '~^(\d{2}),(\d{1,3})\b~',
                '~^(\d+(?:\.\d+)?)\s*(?:fps)?\s*\(?(?:drop|non-?drop|df|ndf|progressive|film|pal|ntsc)[ -]?(?:frame)?\)?$~i',
            ],
            ['$1.$2', '$1'],
        ],
        RequirementId::TIME_SPEED => [['~^(\d+(?:\.\d+)?)\s*(?:%|percent)$~'], ['$1/100']],
        RequirementId::TIME_HANDLES => [
            [
                '~^(?:head|pre)\s*[:=]?\s*(\d+)\s*(?:frames?)?\s*[,;]?\s*(?:and\s+)?(?:tail|post)\s*[:=]?\s*(\d+)(?:\s*frames?)?$~i',
                '~\s*frames?(?:\s+(?:each|at each end|on both ends|head and tail))?$~i',
            ],
            ['$1+$2', ''],
        ],
        RequirementId::FORMAT_QUALITY => [['~\s*(?:%|percent)$~', '~^(\d{1,3})\s*/\s*100$~'], ['', '$1']],
    ];

    /** Of these the first pattern holds whatever white space stands around the text. */
    private const TRIMMED = [RequirementId::TIME_SPEED, RequirementId::TIME_HANDLES];

    /** What is left of a value once everything but letters, digits and a few signs is taken out of it. */
    private const NOISE = '~[\s._,()\[\]{}"\'’“”-]+~u';

    /** By requirement: what is written, in lower case and without spaces, dashes, dots and brackets; what it is kept as. */
    private const USUAL = [
        RequirementId::PICTURE_RESOLUTION => [
            '720p' => '1280x720', 'hd720' => '1280x720', 'hdtv720' => '1280x720', 'hdready' => '1280x720',
            '1080p' => '1920x1080', '1080' => '1920x1080', 'hd1080' => '1920x1080', 'hdtv1080' => '1920x1080',
            'fullhd' => '1920x1080', 'fhd' => '1920x1080', 'hd1080p' => '1920x1080', 'hd720p' => '1280x720',
            '1440p' => '2560x1440', 'qhd' => '2560x1440', 'wqhd' => '2560x1440',
            '2160p' => '3840x2160', 'uhd' => '3840x2160', 'uhd4k' => '3840x2160', '4kuhd' => '3840x2160',
            'ultrahd' => '3840x2160', 'uhd1' => '3840x2160', 'uhd2160' => '3840x2160', '4320p' => '7680x4320',
            'uhd8k' => '7680x4320', '8kuhd' => '7680x4320', 'uhd2' => '7680x4320',
            'dci2k' => '2048x1080', '2kdci' => '2048x1080', 'dc2k' => '2048x1080', 'dci4k' => '4096x2160',
            '4kdci' => '4096x2160', 'dc4k' => '4096x2160', 'vga' => '640x480', 'svga' => '800x600', 'xga' => '1024x768',
        ],
        RequirementId::PICTURE_SCALE => [
            'full' => '100', 'fullsize' => '100', 'fullscale' => '100', 'fullresolution' => '100', 'original' => '100',
            '1:1' => '100', '1/1' => '100', 'half' => '50', 'halfsize' => '50', 'halfresolution' => '50', '1/2' => '50',
            '1:2' => '50',
            '1/4' => '25', '1:4' => '25', 'quarter' => '25', 'quartersize' => '25', 'aquarter' => '25',
            'third' => '100/3', 'athird' => '100/3', 'onethird' => '100/3', '1/3' => '100/3', '1:3' => '100/3',
            '2/3' => '200/3', 'twothirds' => '200/3', '3/4' => '75', 'threequarters' => '75', 'double' => '200',
            '2:1' => '200',
        ],
        RequirementId::PICTURE_PIXEL_ASPECT => [
            'square' => '1/1', 'squarepixels' => '1/1', 'none' => '1/1', 'anamorphic2:1' => '2/1',
            'anamorphic' => '2/1', 'd1/dvpal' => '59/54', 'hdv1080' => '4/3',
        ],
        RequirementId::PICTURE_REGION => [
            'wholepicture' => 'full', 'wholeimage' => 'full', 'wholeframe' => 'full', 'fullframe' => 'full',
            'fullpicture' => 'full', 'fullimage' => 'full', 'entireframe' => 'full', 'whole' => 'full', 'all' => 'full',
            'view' => 'full',
            'noregion' => 'full', 'nocrop' => 'full', 'notset' => 'full', 'n' => 'full', 'unchecked' => 'full',
            'notchecked' => 'full', 'unticked' => 'full', 'inactive' => 'full', 'notused' => 'full', 'checked' => 'on',
            'ticked' => 'on', 'active' => 'on', 'y' => 'on', 'used' => 'on',
        ],
        RequirementId::PICTURE_PROJECTION => [
            'latlong' => 'lat-long',
            'lat/long' => 'lat-long',
            'latitudelongitude' => 'lat-long',
            'latitude/longitude' => 'lat-long',
            'equirectangular' => 'lat-long',
            'equirect' => 'lat-long',
            'spherical' => 'lat-long',
            'sphere' => 'lat-long',
            '360' => 'lat-long',
            '360°' => 'lat-long',
            '360degrees' => 'lat-long',
            'vr360' => 'lat-long',
            '360vr' => 'lat-long',
            'mono360' => 'lat-long',
            '360mono' => 'lat-long',
            'latlongmono' => 'lat-long',
            'panorama' => 'lat-long',
            'panoramic' => 'lat-long',
            'latlongstereo' => 'lat-long stereo',
            'stereolatlong' => 'lat-long stereo',
            'stereo360' => 'lat-long stereo',
            '360stereo' => 'lat-long stereo',
            'equirectangularstereo' => 'lat-long stereo',
            'stereoequirectangular' => 'lat-long stereo',
            'sphericalstereo' => 'lat-long stereo',
            'stereospherical' => 'lat-long stereo',
            'perspective' => 'flat', 'rectilinear' => 'flat', 'planar' => 'flat', 'standard' => 'flat',
            'normal' => 'flat', 'none' => 'flat', 'off' => 'flat', 'no' => 'flat', 'false' => 'flat', '0' => 'flat',
            'unchecked' => 'flat',
        ],
        RequirementId::PICTURE_SCAN => [
            'p' => 'progressive',
            'prog' => 'progressive',
            'progressivescan' => 'progressive',
            'none' => 'progressive',
            'no' => 'progressive',
            'off' => 'progressive',
            'false' => 'progressive',
            '0' => 'progressive',
            'unchecked' => 'progressive',
            'nofields' => 'progressive',
            'noninterlaced' => 'progressive',
            'deinterlaced' => 'progressive',
            'fullframes' => 'progressive',
            'frames' => 'progressive',
            'frame' => 'progressive',
            'i' => 'interlaced',
            'interlace' => 'interlaced',
            'interlacing' => 'interlaced',
            'on' => 'interlaced',
            'yes' => 'interlaced',
            'true' => 'interlaced',
            '1' => 'interlaced',
            'checked' => 'interlaced',
            'fields' => 'interlaced',
            'field' => 'interlaced',
            'upper' => 'interlaced',
            'lower' => 'interlaced',
            'upperfieldfirst' => 'interlaced',
            'lowerfieldfirst' => 'interlaced',
            'upperfirst' => 'interlaced',
            'lowerfirst' => 'interlaced',
            'topfieldfirst' => 'interlaced',
            'bottomfieldfirst' => 'interlaced',
            'odd' => 'interlaced',
            'even' => 'interlaced',
            'oddfirst' => 'interlaced',
            'evenfirst' => 'interlaced',
            'tff' => 'interlaced',
            'bff' => 'interlaced',
        ],
        RequirementId::TIME_RATE => [
            'film' => '24', 'cinema' => '24', 'pal' => '25', 'palvideo' => '25', 'ntsc' => '30000/1001',
            'ntscvideo' => '30000/1001', 'ntscfilm' => '24000/1001', '24p' => '24', '25p' => '25', '30p' => '30',
            '50p' => '50', '60p' => '60', '2398' => '24000/1001', '23976' => '24000/1001', '2997' => '30000/1001',
            '5994' => '60000/1001', '23976p' => '24000/1001', '2997p' => '30000/1001', '5994p' => '60000/1001',
            '2997df' => '30000/1001',
            '2997ndf' => '30000/1001',
            '2997dropframe' => '30000/1001',
            '2997nondropframe' => '30000/1001',
            '2997nondrop' => '30000/1001',
            '2997drop' => '30000/1001',
            '5994df' => '60000/1001',
        ],
        RequirementId::TIME_EXTENT => [
            'single' => 'one', 'singleframe' => 'one', 'singleimage' => 'one', 'singlepicture' => 'one',
            'oneframe' => 'one', 'onepicture' => 'one', 'still' => 'one', 'stillimage' => 'one', 'stillframe' => 'one',
            'current' => 'one', 'currentframe' => 'one', 'currentimage' => 'one', 'thisframe' => 'one',
            'frame' => 'one', 'image' => 'one', '1' => 'one', '1frame' => 'one', 'theframeitstandson' => 'one',
            'range' => 'listed', 'framerange' => 'listed', 'listedrange' => 'listed', 'typedrange' => 'listed',
            'customrange' => 'listed', 'custom' => 'listed', 'specifiedrange' => 'listed', 'specified' => 'listed',
            'manual' => 'listed', 'manualrange' => 'listed', 'fromto' => 'listed', 'startend' => 'listed',
            'start/end' => 'listed', 'inout' => 'listed', 'in/out' => 'listed', 'intoout' => 'listed',
            'firsttolast' => 'listed', 'listedframes' => 'listed', 'selectedframes' => 'listed',
            'selectedrange' => 'listed', 'sequence' => 'listed', 'renderrange' => 'listed', 'outputrange' => 'listed',
            'all' => 'whole', 'allframes' => 'whole', 'everything' => 'whole', 'everyframe' => 'whole',
            'entire' => 'whole', 'entirerange' => 'whole', 'entireanimation' => 'whole', 'entiretimeline' => 'whole',
            'timeline' => 'whole', 'thetimeline' => 'whole', 'wholetimeline' => 'whole', 'thewholetimeline' => 'whole',
            'animation' => 'whole', 'theanimation' => 'whole', 'wholeanimation' => 'whole', 'fullanimation' => 'whole',
            'complete' => 'whole', 'completeanimation' => 'whole', 'full' => 'whole', 'fullrange' => 'whole',
            'fulltimeline' => 'whole', 'wholerange' => 'whole', 'activerange' => 'whole', 'activetime' => 'whole',
            'scenerange' => 'whole', 'wholescene' => 'whole', 'playbackrange' => 'whole', 'animationrange' => 'whole',
        ],
        RequirementId::TIME_HANDLES => [
            'none' => '0',
            'no' => '0',
            'off' => '0',
            'false' => '0',
            'unchecked' => '0',
            'without' => '0',
        ],
        RequirementId::TIME_STEP => [
            'none' => '1', 'no' => '1', 'off' => '1', 'every' => '1', 'everyframe' => '1', 'eachframe' => '1',
            'all' => '1', 'allframes' => '1', 'everysecond' => '2', 'everysecondframe' => '2', 'everyother' => '2',
            'everyotherframe' => '2', 'everythird' => '3', 'everythirdframe' => '3', 'everyfourth' => '4',
            'everyfourthframe' => '4', 'everyfifth' => '5', 'everytenth' => '10', 'everytenthframe' => '10',
        ],
        RequirementId::TIME_SPEED => [
            'normal' => '1/1', 'unchanged' => '1/1', 'original' => '1/1', 'none' => '1/1', 'off' => '1/1',
            'no' => '1/1', 'nostretch' => '1/1', 'realtime' => '1/1', '1x' => '1/1', '1:1' => '1/1',
        ],
        RequirementId::CAMERA_NAME => ['any' => '*', 'anycamera' => '*'],
        RequirementId::CAMERA_EXPOSURE => [
            'automatic' => 'auto', 'autoexposure' => 'auto', 'on' => 'auto', 'yes' => 'auto', 'true' => 'auto',
            '1' => 'auto', 'checked' => 'auto', 'enabled' => 'auto', 'fixed' => 'manual', 'off' => 'manual',
            'no' => 'manual', 'false' => 'manual', '0' => 'manual', 'unchecked' => 'manual', 'disabled' => 'manual',
            'none' => 'manual', 'manualexposure' => 'manual', 'locked' => 'manual', 'constant' => 'manual',
        ],
        RequirementId::SCENE_SAVED => [
            'saved' => 'yes', 'clean' => 'yes', 'nochanges' => 'yes', 'nounsavedchanges' => 'yes',
            'unmodified' => 'yes', 'uptodate' => 'yes', 'unsaved' => 'no', 'notsaved' => 'no', 'dirty' => 'no',
            'modified' => 'no', 'changed' => 'no', 'unsavedchanges' => 'no', '*' => 'no',
        ],
        RequirementId::SCENE_LINKS => [
            'ok' => 'yes', 'allpresent' => 'yes', 'present' => 'yes', 'allfound' => 'yes', 'found' => 'yes',
            'nonemissing' => 'yes', 'complete' => 'yes', 'missing' => 'no', 'broken' => 'no', 'incomplete' => 'no',
        ],
        RequirementId::RENDER_QUALITY => [
            'production' => 'final', 'productionquality' => 'final', 'best' => 'final', 'bestquality' => 'final',
            'high' => 'final', 'highquality' => 'final', 'highest' => 'final', 'maximum' => 'final', 'max' => 'final',
            'full' => 'final', 'fullquality' => 'final', 'finalquality' => 'final', 'finalrender' => 'final',
            'final frame' => 'final', 'finalframe' => 'final', 'master' => 'final', 'ultra' => 'final',
            'delivery' => 'final',
            'preview' => 'draft', 'previewquality' => 'draft', 'draftquality' => 'draft', 'low' => 'draft',
            'lowquality' => 'draft', 'lowest' => 'draft', 'fast' => 'draft', 'fastest' => 'draft', 'quick' => 'draft',
            'test' => 'draft', 'testrender' => 'draft', 'rough' => 'draft', 'proxy' => 'draft',
            'interactive' => 'draft', 'wireframe' => 'draft',
        ],
        RequirementId::RENDER_MOTION_BLUR => [
            'full' => 'on', '2d' => 'on', '3d' => 'on', 'vector' => 'on', 'vectors' => 'on', 'camera' => 'on',
            'object' => 'on', 'objects' => 'on', 'deformation' => 'on', 'transform' => 'on', 'transformation' => 'on',
            'both' => 'on', '180' => 'on', '180°' => 'on', '180degrees' => 'on', 'shutter180' => 'on', '05' => 'on',
            'used' => 'on', 'use' => 'on', 'all' => 'on', 'subframe' => 'on', 'multisample' => 'on',
            'nomotionblur' => 'off', 'nothing' => 'off', 'notused' => 'off', 'instantaneous' => 'off',
        ],
        RequirementId::RENDER_POST_EFFECTS => [
            'applied' => 'on', 'used' => 'on', 'all' => 'on', 'notapplied' => 'off', 'notused' => 'off',
            'bypass' => 'off', 'bypassed' => 'off', 'ignored' => 'off', 'nothing' => 'off', 'skipped' => 'off',
        ],
        RequirementId::RENDER_OVERLAYS => [
            'shown' => 'on', 'show' => 'on', 'visible' => 'on', 'drawn' => 'on', 'rendered' => 'on', 'hidden' => 'off',
            'hide' => 'off', 'invisible' => 'off', 'notshown' => 'off', 'notdrawn' => 'off', 'nothing' => 'off',
        ],
        RequirementId::OUTPUT_OVERWRITES => [
            'overwrite' => 'yes', 'overwriteexisting' => 'yes', 'replace' => 'yes', 'replaceexisting' => 'yes',
            'always' => 'yes', 'skip' => 'no', 'skipexisting' => 'no', 'keep' => 'no', 'keepexisting' => 'no',
            'never' => 'no', 'nooverwrite' => 'no', 'increment' => 'no', 'newversion' => 'no',
        ],
        RequirementId::FORMAT_BIT_DEPTH => [
            'half' => '16', 'halffloat' => '16', '16half' => '16', 'eight' => '8', 'sixteen' => '16',
            'thirtytwo' => '32', '8bpc' => '8', '10bpc' => '10', '16bpc' => '16', '32bpc' => '32', 'fp16' => '16',
            'fp32' => '32', '16f' => '16', '32f' => '32', 'float16' => '16', 'float32' => '32', 'uint8' => '8',
            'uint16' => '16', 'u8' => '8', 'u16' => '16', 'int8' => '8', 'int16' => '16', '8bitinteger' => '8',
            '16bitinteger' => '16', 'byte' => '8',
        ],
        RequirementId::FORMAT_SAMPLE => [
            'half' => 'float', 'halffloat' => 'float', 'floatingpoint' => 'float', 'fp' => 'float', 'fp16' => 'float',
            'fp32' => 'float', '16f' => 'float', '32f' => 'float', 'float16' => 'float', 'float32' => 'float',
            '16bitfloat' => 'float', '32bitfloat' => 'float', '16bithalf' => 'float', 'fullfloat' => 'float',
            'real' => 'float', 'half16bit' => 'float', 'float32bit' => 'float',
            'integer' => 'uint', 'int' => 'uint', 'unsigned' => 'uint', 'unsignedinteger' => 'uint',
            'unsignedint' => 'uint', 'uint8' => 'uint', 'uint16' => 'uint', 'u8' => 'uint', 'u16' => 'uint',
            '8bit' => 'uint', 'whole' => 'uint', 'wholenumbers' => 'uint', 'fixedpoint' => 'uint', 'byte' => 'uint',
            'char' => 'uint', '8bitinteger' => 'uint', '16bitinteger' => 'uint', 'short' => 'uint',
        ],
        RequirementId::FORMAT_CHANNELS => [
            'rgbalpha' => 'RGBA', 'rgb+alpha' => 'RGBA', 'rgb+a' => 'RGBA', 'rgb&alpha' => 'RGBA',
            'rgbandalpha' => 'RGBA', 'rgbwithalpha' => 'RGBA', 'color+alpha' => 'RGBA', 'colour+alpha' => 'RGBA',
            'colorandalpha' => 'RGBA', 'colourandalpha' => 'RGBA', 'redgreenbluealpha' => 'RGBA',
            'truecolor+alpha' => 'RGBA', 'millionsofcolors+' => 'RGBA', 'bgra' => 'RGBA', 'argb' => 'RGBA',
            'colour' => 'RGB', 'color' => 'RGB', 'rgbcolor' => 'RGB', 'rgbcolour' => 'RGB', 'rgbonly' => 'RGB',
            'truecolor' => 'RGB', 'truecolour' => 'RGB', 'redgreenblue' => 'RGB', 'millionsofcolors' => 'RGB',
            'rgbnoalpha' => 'RGB', 'rgbwithoutalpha' => 'RGB', 'bgr' => 'RGB',
            'bw' => 'Y', 'b/w' => 'Y', 'b&w' => 'Y', 'blackandwhite' => 'Y', 'grey' => 'Y', 'gray' => 'Y',
            'greyscale' => 'Y', 'grayscale' => 'Y', 'luminance' => 'Y', 'luma' => 'Y', 'mono' => 'Y',
            'monochrome' => 'Y', 'greyalpha' => 'YA', 'grayalpha' => 'YA', 'grayscalealpha' => 'YA',
            'greyscalealpha' => 'YA', 'grayscale+alpha' => 'YA', 'greyscale+alpha' => 'YA', 'luminancealpha' => 'YA',
        ],
        RequirementId::FORMAT_ALPHA => [
            'no' => 'none', 'off' => 'none', 'false' => 'none', '0' => 'none', 'unchecked' => 'none',
            'notchecked' => 'none', 'disabled' => 'none', 'noalpha' => 'none', 'without' => 'none',
            'withoutalpha' => 'none', 'opaque' => 'none', 'ignore' => 'none', 'ignored' => 'none', 'discard' => 'none',
            'discarded' => 'none', 'notsaved' => 'none', 'rgb' => 'none', 'rgbonly' => 'none', 'n' => 'none',
            'yes' => 'any', 'on' => 'any', 'true' => 'any', '1' => 'any', 'checked' => 'any', 'enabled' => 'any',
            'alpha' => 'any', 'with' => 'any', 'withalpha' => 'any', 'rgba' => 'any', 'rgbalpha' => 'any',
            'rgb+alpha' => 'any', 'saved' => 'any', 'save' => 'any', 'included' => 'any', 'include' => 'any',
            'transparent' => 'any', 'transparency' => 'any', 'transparentbackground' => 'any', 'y' => 'any',
            'keep' => 'any',
            'premult' => 'premultiplied',
            'premul' => 'premultiplied',
            'premultiply' => 'premultiplied',
            'premultipliedalpha' => 'premultiplied',
            'associated' => 'premultiplied',
            'associatedalpha' => 'premultiplied',
            'matted' => 'premultiplied',
            'premultipliedmatted' => 'premultiplied',
            'mattedwithblack' => 'premultiplied',
            'premultipliedwithblack' => 'premultiplied',
            'mattedwithcolor' => 'premultiplied',
            'unassociated' => 'straight', 'unassociatedalpha' => 'straight', 'unpremultiplied' => 'straight',
            'unpremult' => 'straight', 'nonpremultiplied' => 'straight', 'notpremultiplied' => 'straight',
            'straightalpha' => 'straight', 'straightunmatted' => 'straight', 'unmatted' => 'straight',
            'key' => 'straight', 'unmultiplied' => 'straight',
        ],
        RequirementId::FORMAT_COMPRESSION => [
            'uncompressed' => 'none', 'no' => 'none', 'off' => 'none', 'false' => 'none', '0' => 'none',
            'unchecked' => 'none', 'nocompression' => 'none', 'notcompressed' => 'none', 'without' => 'none',
            'raw' => 'none', 'store' => 'none',
            'zip16' => 'zip', 'zip16lines' => 'zip', 'zip16scanlines' => 'zip', 'zipmultiline' => 'zip',
            'zipblocks' => 'zip', 'ziplossless' => 'zip', 'zip1' => 'zips', 'zip1line' => 'zips',
            'zip1scanline' => 'zips', 'zipsingle' => 'zips', 'zipsingleline' => 'zips', 'zipscanline' => 'zips',
            'zipsingescanline' => 'zips', 'zipsinglescanline' => 'zips', 'zipperline' => 'zips',
            'zipsscanline' => 'zips', 'zips1scanline' => 'zips', 'zips1line' => 'zips', 'zipslossless' => 'zips',
            'wavelet' => 'piz', 'pizwavelet' => 'piz', 'pizlossless' => 'piz', 'runlength' => 'rle',
            'runlengthencoding' => 'rle', 'runlengthencoded' => 'rle', 'rlelossless' => 'rle', 'dwaalossy' => 'dwaa',
            'dwablossy' => 'dwab', 'dwa' => 'dwaa', 'pxr24lossy' => 'pxr24', 'b44lossy' => 'b44', 'b44alossy' => 'b44a',
            'zlib' => 'deflate',
            'flate' => 'deflate',
            'lzwlossless' => 'lzw',
            'macpackbits' => 'packbits',
            'packbit' => 'packbits',
            'jpg' => 'jpeg',
            'losslesscompression' => 'lossless',
            'nothinglost' => 'lossless',
            'withoutloss' => 'lossless',
        ],
        RequirementId::FORMAT_CHROMA => [
            '444' => '4:4:4', '422' => '4:2:2', '420' => '4:2:0', 'yuv4:4:4' => '4:4:4', 'yuv4:2:2' => '4:2:2',
            'yuv4:2:0' => '4:2:0', 'ycbcr4:2:0' => '4:2:0', 'yuv444' => '4:4:4', 'yuv422' => '4:2:2',
            'yuv420' => '4:2:0', 'yuv420p' => '4:2:0', 'yuv422p' => '4:2:2', 'yuv444p' => '4:4:4',
            'yuv420p10' => '4:2:0', 'yuv422p10' => '4:2:2', 'yuv444p10' => '4:4:4', 'yuv420p10le' => '4:2:0',
            'yuv422p10le' => '4:2:2', 'yuv444p10le' => '4:4:4', 'yuvj420p' => '4:2:0', 'yuvj422p' => '4:2:2',
            'yuvj444p' => '4:4:4', 'nv12' => '4:2:0', 'p010' => '4:2:0',
            'none' => '4:4:4', 'nosubsampling' => '4:4:4', 'full' => '4:4:4', 'off' => '4:4:4', 'no' => '4:4:4',
            '4:2:0subsampled' => '4:2:0', '1x1' => '4:4:4', '2x1' => '4:2:2', '2x2' => '4:2:0', '4:2:08bit' => '4:2:0',
            '4:2:210bit' => '4:2:2',
        ],
        RequirementId::FORMAT_INDEX => [
            'front' => 'first', 'faststart' => 'first', 'start' => 'first', 'atthestart' => 'first',
            'beginning' => 'first', 'atthefront' => 'first', 'yes' => 'first', 'on' => 'first', 'true' => 'first',
            '1' => 'first', 'checked' => 'first', 'progressivedownload' => 'first', 'webready' => 'first',
            'streaming' => 'first', 'weboptimized' => 'first', 'weboptimised' => 'first',
        ],
        RequirementId::FORMAT_B_FRAMES => [
            'no' => 'none', 'off' => 'none', 'false' => 'none', '0' => 'none', 'unchecked' => 'none',
            'nobframes' => 'none', 'without' => 'none', 'disabled' => 'none', 'n' => 'none', 'ionly' => 'none',
            'intraonly' => 'none', 'allintra' => 'none',
        ],
        RequirementId::COLOUR_VIEW => [
            'raw' => 'none', 'identity' => 'none', 'bypass' => 'none', 'unmanaged' => 'none', 'none' => 'none',
            'no' => 'none', 'off' => 'none', 'false' => 'none', '0' => 'none', 'noview' => 'none', 'notset' => 'none',
            'disabled' => 'none', 'unchecked' => 'none',
        ],
        RequirementId::COLOUR_LOOK => [
            'none' => 'none', 'no' => 'none', 'off' => 'none', 'false' => 'none', '0' => 'none', 'nolook' => 'none',
            'notset' => 'none', 'disabled' => 'none', 'unchecked' => 'none', 'nolut' => 'none', 'nograde' => 'none',
        ],
        RequirementId::COLOUR_EXPOSURE => ['none' => '0', 'off' => '0', 'neutral' => '0', 'unchanged' => '0'],
        RequirementId::COLOUR_GAMMA => ['none' => '1', 'off' => '1', 'neutral' => '1', 'unchanged' => '1'],
        RequirementId::BURN_IN => [
            'no' => 'none', 'off' => 'none', 'false' => 'none', '0' => 'none', 'nothing' => 'none',
            'unchecked' => 'none', 'disabled' => 'none', 'noburnin' => 'none', 'noburnins' => 'none',
        ],
        RequirementId::AUDIO_PRESENCE => [
            'no' => 'none', 'off' => 'none', 'false' => 'none', '0' => 'none', 'unchecked' => 'none',
            'disabled' => 'none', 'silent' => 'none', 'mute' => 'none', 'muted' => 'none', 'noaudio' => 'none',
            'nosound' => 'none', 'without' => 'none', 'withoutsound' => 'none', 'n' => 'none', 'nothing' => 'none',
            'yes' => 'required', 'on' => 'required', 'true' => 'required', '1' => 'required', 'checked' => 'required',
            'enabled' => 'required', 'present' => 'required', 'with' => 'required', 'withsound' => 'required',
            'withaudio' => 'required', 'included' => 'required', 'include' => 'required', 'y' => 'required',
            'sound' => 'required', 'audio' => 'required', 'stereo' => 'required', 'mono' => 'required',
            'aac' => 'required', 'pcm' => 'required', 'mp3' => 'required', 'opus' => 'required',
        ],
        RequirementId::AUDIO_CHANNELS => [
            'mono' => '1', 'monophonic' => '1', 'one' => '1', '1mono' => '1', 'mono1' => '1', 'stereo' => '2',
            'stereophonic' => '2', 'two' => '2', '2stereo' => '2', 'stereo2' => '2', '2ch' => '2', '1ch' => '1',
            '6ch' => '6', '20' => '2', '51' => '6', '51surround' => '6', '71' => '8', '71surround' => '8',
            'quad' => '4',
        ],
        RequirementId::CONTENT_BLACK => ['no' => 'none', 'off' => 'none', 'notallowed' => 'none', 'never' => 'none'],
        RequirementId::CONTENT_FROZEN => ['no' => 'none', 'off' => 'none', 'notallowed' => 'none', 'never' => 'none'],
        RequirementId::DELIVERY_EXTRAS => [
            'no' => 'none', 'off' => 'none', 'false' => 'none', '0' => 'none', 'nothing' => 'none',
            'notallowed' => 'none',
        ],
        RequirementId::DELIVERY_CHECKSUMS => [
            'yes' => 'present', 'on' => 'present', 'true' => 'present', '1' => 'present', 'required' => 'present',
            'md5' => 'present', 'sha256' => 'present', 'mhl' => 'present',
        ],
    ];

    /** The text itself where nothing else is usual for it. */
    public static function usual(string $id, string $text): string
    {
        $plain = mb_strtolower((string) preg_replace(self::NOISE, '', $text));
        $usual = self::USUAL[$id][$plain] ?? null;
        if ($usual !== null) {
            return $usual;
        }
        [$patterns, $replacements] = self::REWRITTEN[$id] ?? [[], []];
        if ($patterns !== []) {
            $trimmed = in_array($id, self::TRIMMED, true) && preg_match($patterns[0], trim($text)) === 1;

            return (string) preg_replace($patterns, $replacements, $trimmed ? trim($text) : $text);
        }

        return match ($id) {
            RequirementId::PICTURE_RESOLUTION => self::named($text),
            RequirementId::AUDIO_CHANNELS => self::surround($text),
            RequirementId::AUDIO_SAMPLE_RATE => self::hertz($text),
            RequirementId::NAMING_PATTERN => self::sceneName($text),
            default => $text,
        };
    }

    /** `5.1` is six channels. */
    private static function surround(string $text): string
    {
        return preg_match('~^([257])\.([01])(?:\s*(?:surround|channels?))?$~i', trim($text), $m) === 1
            ? (string) ((int) $m[1] + (int) $m[2])
            : $text;
    }

    private static function sceneName(string $text): string
    {
        $counted = preg_match('~#|%0?\d*d~', $text) === 1 && ! str_contains($text, '{frame');

        return $counted ? (string) NamePattern::parseSceneName($text) : $text;
    }

    /** `Full HD (1920 x 1080)`, `HD 1080p25`, `UHD-1 4K` */
    private static function named(string $text): string
    {
        if (preg_match('~(?<![\d-])(\d{2,5})\s*[x×*]\s*(\d{2,5})(?!\d)~u', $text, $m) === 1) {
            return "{$m[1]}x{$m[2]}";
        }
        $plain = strtolower(
            (string) preg_replace(
                self::NOISE,
                '',
                (string) preg_replace('~(?<=\d)[pi]\d{2}(?:[.,]\d+)?$~i', 'p', trim($text)),
            ),
        );

        return self::USUAL[RequirementId::PICTURE_RESOLUTION][$plain] ?? $text;
    }

    /** What stands for yes and for no wherever either can stand; null for any other word. */
    public static function truth(string $text): ?bool
    {
        return match (mb_strtolower(trim($text, " \t\"'."))) {
            'yes', 'on', 'true', '1', 'y', 't', 'enabled', 'enable', 'active', 'activated', 'checked', 'ticked', 'selected', 'set', 'used', 'x', '✓', '✔', '☑', '[x]', '1.0', 'always' => true,
            'no', 'off', 'false', '0', 'n', 'f', 'disabled', 'disable', 'inactive', 'deactivated', 'unchecked', 'not checked', 'unticked', 'not ticked', 'deselected', 'unselected', 'unset', 'not set', 'not used', 'none', 'nothing', '✗', '✘', '☐', '[ ]', '[]', '-', '–', '', '0.0', 'never', 'without' => false,
            default => null,
        };
    }

    /** `48 kHz`, `44.1k`, `48000 Hz`, `48,000` */
    private static function hertz(string $text): string
    {
        if (preg_match('~^(\d{1,4})(?:[.,](\d{1,3}))?\s*k(?:hz|ilohertz)?$~i', trim($text), $m) === 1) {
            return (string) ((int) $m[1] * 1000 + (int) str_pad($m[2] ?? '', 3, '0'));
        }

        return (string) preg_replace(['~\s*(?:hz|hertz)$~i', '~^(\d{1,3})[,. ](\d{3})$~'], ['', '$1$2'], trim($text));
    }
}
