<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use Brick\Math\BigRational;
use PlainLedger\Core\Specification\Catalogue;
use PlainLedger\Core\Specification\RequirementId;
use PlainLedger\Core\Specification\Spellings;
use PlainLedger\Core\Text\Text;

/** Settings under whatever names people and programs give them, brought under the ids of requirements. */
final readonly class FieldNames
{
    /** By field, its usual names in small letters and digits. A field without a dot is a part of one. */
    private const USUAL = [
        RequirementId::PICTURE_RESOLUTION => [
            'resolution', 'rendersize', 'size', 'imagesize', 'picturesize', 'framesize', 'outputsize',
            'renderresolution', 'renderersize', 'rendersize', 'dimensions',
        ],
        'width' => [
            'width', 'imagewidth', 'outputwidth', 'resx', 'xres', 'resolutionx', 'xresolution', 'resolutionwidth',
            'sizex',
        ],
        'height' => [
            'height', 'imageheight', 'outputheight', 'resy', 'yres', 'resolutiony', 'yresolution', 'resolutionheight',
            'sizey',
        ],
        RequirementId::PICTURE_SCALE => [
            'scale', 'renderscale', 'resolutionscale', 'resolutionpercentage', 'resolutionpercent', 'percentage',
            'percent', 'sizepercent',
        ],
        RequirementId::PICTURE_PIXEL_ASPECT => [
            'pixelaspect',
            'pixelaspectratio',
            'par',
            'pixelratio',
            'sampleaspect',
            'sampleaspectratio',
        ],
        RequirementId::PICTURE_REGION => [
            'region', 'renderregion', 'crop', 'cropregion', 'border', 'renderborder', 'regionofinterest', 'croparea',
            'renderarea',
        ],
        'region.on' => [
            'useregion', 'userenderregion', 'regionon', 'regionenabled', 'renderregionenabled', 'enableregion',
            'usecrop', 'cropon', 'cropenabled', 'enablecrop', 'croptoregion', 'croptoborder', 'useborder', 'borderon',
            'borderenabled', 'limittoregion',
        ],
        'region.left' => [
            'regionleft', 'cropleft', 'borderleft', 'regionminx', 'cropminx', 'borderminx', 'regionxmin', 'cropxmin',
            'borderxmin', 'regionx1', 'cropx1',
        ],
        'region.right' => [
            'regionright', 'cropright', 'borderright', 'regionmaxx', 'cropmaxx', 'bordermaxx', 'regionxmax', 'cropxmax',
            'borderxmax', 'regionx2', 'cropx2',
        ],
        'region.top' => [
            'regiontop', 'croptop', 'bordertop', 'regionminy', 'cropminy', 'borderminy', 'regionymin', 'cropymin',
            'borderymin', 'regiony1', 'cropy1',
        ],
        'region.bottom' => [
            'regionbottom', 'cropbottom', 'borderbottom', 'regionmaxy', 'cropmaxy', 'bordermaxy', 'regionymax',
            'cropymax', 'borderymax', 'regiony2', 'cropy2',
        ],
        'region.x' => ['regionx', 'cropx'],
        'region.y' => ['regiony', 'cropy'],
        'region.width' => ['regionwidth', 'cropwidth'],
        'region.height' => ['regionheight', 'cropheight'],
        RequirementId::PICTURE_PROJECTION => ['projection', 'cameraprojection'],
        RequirementId::PICTURE_SCAN => ['scan', 'fields', 'interlacing'],
        RequirementId::PICTURE_DENSITY => ['density', 'dpi', 'ppi'],
        RequirementId::TIME_RATE => ['fps', 'rate', 'framerate', 'framespersecond', 'playbackrate'],
        'rate base' => ['fpsbase', 'frameratebase', 'ratebase', 'ratedivisor', 'fpsdivisor'],
        'time.animation_rate' => [
            'animationrate', 'animationframerate', 'animationfps', 'timelinerate', 'timelinefps', 'timelineframerate',
            'sourcerate', 'sourcefps', 'originalfps', 'originalrate',
        ],
        RequirementId::TIME_DURATION => [
            'duration', 'length', 'runningtime', 'cliplength', 'clipduration', 'movielength', 'totaltime',
            'animationlength', 'lengthinseconds', 'durationinseconds',
        ],
        'old length' => [
            'oldlength', 'lengthbefore', 'originallength', 'oldframes', 'framesbefore', 'stretchfrom', 'oldduration',
            'durationbefore',
        ],
        'new length' => [
            'newlength', 'lengthafter', 'stretchedlength', 'newframes', 'framesafter', 'stretchto', 'newduration',
            'durationafter',
        ],
        RequirementId::TIME_RANGE => ['range', 'framerange', 'frames', 'renderrange', 'outputrange'],
        RequirementId::TIME_COUNT => ['framecount', 'numberofframes', 'totalframes', 'howmanyframes'],
        'first' => ['first', 'firstframe', 'start', 'startframe', 'framestart', 'renderstart', 'in', 'from'],
        'last' => ['last', 'lastframe', 'end', 'endframe', 'frameend', 'renderend', 'out', 'to'],
        RequirementId::TIME_STEP => ['step', 'framestep', 'stepby', 'everynth', 'everynthframe', 'increment', 'by'],
        'time.timeline' => ['timeline', 'timelinerange', 'animationrange', 'playbackrange', 'scenerange'],
        RequirementId::TIME_EXTENT => ['extent', 'whatisrendered', 'whattorender', 'renderwhat', 'timeoutput'],
        RequirementId::TIME_HANDLES => ['handles'],
        RequirementId::TIME_SPEED => ['speed', 'timescale', 'timestretch', 'stretch', 'playbackspeed', 'retime'],
        'camera.chosen' => [
            'camera',
            'cam',
            'rendercamera',
            'activecamera',
            'cameraname',
            'chosencamera',
            'shotcamera',
        ],
        'camera.all' => ['cameras', 'allcameras', 'scenecameras'],
        'camera.views' => ['views', 'workingviews'],
        RequirementId::CAMERA_EXPOSURE => ['cameraexposure', 'exposuremode', 'autoexposure'],
        'scene.file' => ['scene', 'scenefile', 'scenename'],
        RequirementId::SCENE_SAVED => ['saved', 'scenesaved', 'issaved'],
        'scene.unsaved' => ['unsaved', 'unsavedchanges', 'modified', 'ismodified', 'dirty'],
        'scene.project_folder' => ['project', 'projectfolder', 'projectroot', 'projectpath', 'projectdirectory'],
        RequirementId::RENDER_RENDERER => ['renderer', 'engine', 'renderengine', 'renderername'],
        RequirementId::RENDER_QUALITY => ['quality', 'renderquality', 'renderpreset'],
        RequirementId::RENDER_SAMPLES => [
            'samples',
            'rendersamples',
            'aasamples',
            'samplecount',
            'samplesperpixel',
            'maxsamples',
            'spp',
        ],
        RequirementId::RENDER_MOTION_BLUR => ['motionblur', 'usemotionblur'],
        RequirementId::RENDER_POST_EFFECTS => ['posteffects', 'post', 'postprocessing', 'effects'],
        RequirementId::RENDER_OVERLAYS => ['overlays', 'showoverlays', 'guides', 'grid', 'helpers'],
        'path' => [
            'output', 'outputpath', 'path', 'filepath', 'renderpath', 'outputfile', 'outputfilename', 'renderoutput',
            'savepath',
        ],
        RequirementId::OUTPUT_OVERWRITES => [
            'overwrite', 'overwrites', 'overwriteexisting', 'overwriteexistingfiles', 'overwritefiles',
            'overwriteexistingframes', 'replaceexisting', 'replaceexistingfiles', 'overwriteoutput',
        ],
        RequirementId::OUTPUT_FOLDER => [
            'folder',
            'outputfolder',
            'outputdirectory',
            'outputdir',
            'directory',
            'renderfolder',
            'outdir',
        ],
        RequirementId::NAMING_PATTERN => [
            'filename', 'name', 'outputname', 'imagename', 'nametemplate', 'namepattern', 'basename', 'filenamepattern',
            'outputfilenames',
        ],
        'naming.prefix' => [
            'prefix',
            'fileprefix',
            'filenameprefix',
            'imageprefix',
            'nameprefix',
            'outputprefix',
            'imagefileprefix',
        ],
        'naming.order' => [
            'nameorder', 'numberplace', 'numberplacement', 'framenumberplace', 'framenumberplacement', 'nameformat',
            'filenameformat', 'nameandnumber', 'animationext', 'nameext',
        ],
        'naming.digits' => [
            'digits', 'padding', 'framepadding', 'zeropadding', 'numberdigits', 'framedigits', 'numberpadding',
            'paddeddigits', 'framenumberdigits',
        ],
        'naming.adds_digits' => [
            'addsdigits', 'addsframenumber', 'addsnumber', 'addframenumber', 'appendframenumber', 'appendsframenumber',
            'autonumber', 'autonumbering', 'digitsadded',
        ],
        'scene.part' => ['part', 'makes', 'makespart', 'forpart'],
        RequirementId::FORMAT_KIND => [
            'format',
            'fileformat',
            'imageformat',
            'outputformat',
            'filetype',
            'extension',
            'ext',
            'container',
        ],
        RequirementId::FORMAT_CODEC => ['codec', 'videocodec', 'encoder'],
        RequirementId::FORMAT_BIT_DEPTH => [
            'bitdepth', 'depth', 'bits', 'bitsperchannel', 'colordepth', 'colourdepth', 'bitsperpixel', 'bpp',
            'bitspercomponent', 'bpc', 'bitspersample',
        ],
        RequirementId::FORMAT_SAMPLE => ['sampletype', 'datatype', 'pixeltype'],
        RequirementId::FORMAT_CHANNELS => ['channels', 'colormode', 'colourmode'],
        RequirementId::FORMAT_ALPHA => ['alpha', 'alphachannel', 'savealpha', 'alphamode', 'transparency'],
        RequirementId::FORMAT_COMPRESSION => ['compression', 'exrcompression', 'tiffcompression', 'compressiontype'],
        RequirementId::FORMAT_QUALITY => ['jpegquality', 'jpgquality', 'compressionquality', 'imagequality'],
        RequirementId::FORMAT_CHROMA => ['chroma', 'chromasubsampling', 'subsampling'],
        RequirementId::FORMAT_BIT_RATE => ['bitrate', 'videobitrate', 'datarate'],
        RequirementId::FORMAT_KEYFRAME_INTERVAL => [
            'keyframeinterval', 'keyframedistance', 'gop', 'gopsize', 'keyframes', 'keyframeevery', 'keyframesevery',
            'maxkeyframeinterval', 'iframeinterval', 'goplength',
        ],
        RequirementId::FORMAT_B_FRAMES => ['bframes', 'maxbframes'],
        RequirementId::COLOUR_ENCODING => [
            'colorspace', 'colourspace', 'outputcolorspace', 'outputcolourspace', 'colorencoding', 'colourencoding',
            'transfer',
        ],
        RequirementId::COLOUR_VIEW => ['view', 'viewtransform', 'displaytransform'],
        RequirementId::COLOUR_LOOK => ['look', 'colorlook', 'colourlook'],
        RequirementId::COLOUR_EXPOSURE => ['exposure', 'viewexposure'],
        RequirementId::COLOUR_GAMMA => ['gamma', 'viewgamma'],
        RequirementId::AUDIO_PRESENCE => ['audio', 'sound', 'includeaudio'],
        RequirementId::AUDIO_SAMPLE_RATE => ['audiosamplerate', 'audiorate', 'samplerate', 'soundrate'],
        RequirementId::AUDIO_BIT_DEPTH => ['audiobitdepth', 'audiobits', 'sounddepth'],
        RequirementId::AUDIO_CHANNELS => ['audiochannels', 'soundchannels'],
        'passes' => ['passes', 'renderpasses', 'layers', 'renderlayers', 'aovs'],
        RequirementId::BURN_IN => ['burnin', 'burnins', 'stamp', 'slate'],
        'camera.placement' => ['cameraplacement', 'cameraposition', 'cameratransform', 'cameramatrix'],
        'camera.lens' => ['cameralens', 'focallength', 'camerafocallength', 'lens'],
    ];

    /** Words that much else in a scene is called by too. */
    private const MEAN_ANYTHING = [
        'scale', 'percent', 'percentage', 'size', 'dimensions', 'width', 'height', 'start', 'end', 'in', 'out', 'from',
        'to', 'by', 'first', 'last', 'name', 'path', 'output', 'format', 'depth', 'bits', 'view', 'views', 'look',
        'exposure', 'gamma', 'effects', 'post', 'grid', 'guides', 'helpers', 'overlays',
        'border', 'crop', 'region', 'fields', 'scan', 'rate', 'extension', 'ext', 'layers', 'passes', 'channels',
        'step', 'increment', 'range', 'frames', 'speed', 'quality', 'samples', 'folder', 'directory', 'project',
        'scene', 'alpha', 'compression', 'density', 'projection', 'lens', 'sound', 'audio', 'stamp', 'modified',
        'saved', 'container', 'codec', 'encoder', 'transparency', 'camera', 'cam', 'cameras',
    ];

    /** What stands within these is about something in the scene, or about the program, and not about the output. */
    private const OTHER_THINGS = '~transform|translat|rotat|material|object|light|lamp|mesh|textur|shader|particle'
        .'|physic|simulat|window|viewport|interface|editor|modifier|bone|armature|\brig|geometr|node|brush|select'
        .'|asset|plug-?in|add-?on|licen[cs]e|hardware|host|user|history|proxy~i';

    /** Fields that are lists of names. */
    /** A name within a list of passes. */
    private const OF_A_LIST_OF_PASSES = '~(?:^|[./: ])(?:render[ _-]?|view[ '
        .'_-]?)?(?:passes|layers|aovs|elements)[./:](?!.*(?:count|number))([^./:]+)$~i';

    private const LISTS = ['camera.chosen', 'camera.all', 'camera.views', 'passes'];

    /** Fields that come to a setting only together with others. */
    private const TOGETHER = [
        'rate base',
        'width', 'height', 'first', 'last', 'path', 'old length', 'new length', 'region.on', 'region.left',
        'region.right', 'region.top', 'region.bottom', 'region.x', 'region.y', 'region.width', 'region.height',
        'scene.file', RequirementId::SCENE_SAVED, 'scene.unsaved', 'scene.project_folder', 'scene.part',
    ];

    /** Fields of several words, as people point at them; those that are no requirement of their own. */
    private const OWN_LABELS = [
        'region.on' => 'Render region is on',
        'region.left' => 'Region, left side',
        'region.right' => 'Region, right side',
        'region.top' => 'Region, top side',
        'region.bottom' => 'Region, bottom side',
        'region.x' => 'Region, from the left',
        'region.y' => 'Region, from the top',
        'region.width' => 'Region, width',
        'region.height' => 'Region, height',
        'time.animation_rate' => 'Rate of the animation',
        'old length' => 'Length before the stretch',
        'new length' => 'Length after the stretch',
        'naming.prefix' => 'Name before the number',
        'naming.order' => 'Order of name and number',
        'naming.digits' => 'Digits of the number',
        'naming.adds_digits' => 'Digits the program adds',
        'scene.part' => 'Part these settings make',
        'width' => 'Width',
        'height' => 'Height',
        'first' => 'First frame',
        'last' => 'Last frame',
        'path' => 'Output path with name',
        'time.timeline' => 'Timeline of the animation',
        'camera.chosen' => 'Camera chosen',
        'camera.all' => 'Cameras of the scene',
        'camera.views' => 'Working views',
        'scene.file' => 'Name of the scene',
        'scene.unsaved' => 'Scene has unsaved changes',
        'scene.project_folder' => 'Project folder',
        'camera.placement' => 'Placement of the camera',
        'camera.lens' => 'Lens of the camera',
    ];

    /** Fields that concern what is in the scene, and none in its output. */
    public static function isField(string $field): bool
    {
        return isset(self::OWN_LABELS[$field]) || (Catalogue::standard()->find($field)?->inScene() ?? false);
    }

    /**
     * Everything a name can stand for.
     *
     * @return array<string, string> labels by field, in the ledger's order
     */
    public static function offered(): array
    {
        $offered = [];
        foreach (Catalogue::standard()->all() as $descriptor) {
            if ($descriptor->inScene()) {
                $offered[$descriptor->id] = $descriptor->label;
            }
        }

        return $offered + self::OWN_LABELS;
    }

    /** Whether a name, taken as a whole, is a usual one. */
    /** Whether a section lists passes, so that names in it are theirs. */
    public static function isListOfPasses(string $section): bool
    {
        return preg_match(self::OF_A_LIST_OF_PASSES, "{$section}.one") === 1;
    }

    public static function isUsual(string $name): bool
    {
        $plain = strtolower((string) preg_replace('~[^A-Za-z0-9]~', '', $name));
        $id = strtolower(str_replace([' ', '/'], '.', trim($name)));

        return (Catalogue::standard()->find($id) !== null && ! str_starts_with($id, 'other.'))
            || array_filter(self::USUAL, static fn (array $words): bool => in_array($plain, $words, true)) !== [];
    }

    /** The field a name stands for; null where none is known, `""` where a map says that it is of no concern. */
    public static function of(string $name, ?FieldMap $map = null): ?string
    {
        $meaning = $map?->of($name);
        if ($meaning !== null) {
            return $meaning->is ?? '';
        }
        $id = strtolower(trim($name));
        $dotted = str_replace(' ', '.', $id);
        if (Catalogue::standard()->find($dotted) !== null && ! str_starts_with($dotted, 'other.')) {
            return $dotted;
        }
        if (isset(self::USUAL[$id]) || isset(self::OWN_LABELS[$id]) || Catalogue::standard()->find($id) !== null) {
            return $id;
        }
        // of `render/output.width` and `render.output.width` the last piece may be told alone, unless much else is called
        // by that word and it stands with such things
        $last = (string) preg_replace('~^.*[./:]~', '', $name);
        $within = substr($name, 0, strlen($name) - strlen($last));
        foreach ($within === '' || self::speaksOfOutput($within, $last) ? [$name, $last] : [$name] as $each) {
            $each = str_replace('%', ' percent', $each);
            $plain = strtolower((string) preg_replace('~[^A-Za-z0-9]~', '', $each));
            foreach (self::USUAL as $field => $words) {
                if (in_array($plain, $words, true)) {
                    return $field;
                }
            }
        }

        return null;
    }

    /** Whether a word that may mean anything, such as `scale`, can mean the output's where it stands. */
    private static function speaksOfOutput(string $within, string $word): bool
    {
        $plain = strtolower((string) preg_replace('~[^A-Za-z0-9]~', '', $word));
        if (! in_array($plain, self::MEAN_ANYTHING, true)) {
            return true;
        }

        return preg_match(self::OTHER_THINGS, $within) !== 1;
    }

    /**
     * @param  list<array{string, string}>  $told  names and values, in their order; of one told twice the last counts
     * @param  list<string>  $strange  what was not understood before
     */
    public static function understood(array $told, array $strange = [], ?FieldMap $map = null): RawSettings
    {
        $fields = [];
        $unknown = [];
        $passes = [];
        foreach ($told as [$name, $value]) {
            $meaning = $map?->of($name);
            $value = trim($value);
            if (
                $meaning === null
                && preg_match(self::OF_A_LIST_OF_PASSES, $name, $m) === 1
                && ($saved = Spellings::truth($value)) !== null
            ) {
                // each of a list of passes is switched on or off by its name, whatever else that is called elsewhere
                $passes[] = trim($m[1]).($saved ? '=yes' : '=no');

                continue;
            }
            $field = self::of($name, $map);
            $value = $meaning === null ? $value : $meaning->value($value);
            if ($field === '') {
                continue;
            }
            if (
                $meaning === null
                && in_array($field, ['first', 'last'], true)
                && preg_match('~^(-?\d{1,9})\s*(?:/|-|–|to|\.\.)\s*(-?\d{1,9})$~i', $value, $m) === 1
            ) {
                // “in/out: 1001 / 1096” tells both at once
                [$field, $value] = [RequirementId::TIME_RANGE, "{$m[1]}-{$m[2]}"];
            }
            if (
                $meaning === null
                && $field === RequirementId::TIME_RANGE
                && in_array(Spellings::usual(RequirementId::TIME_EXTENT, $value), ['one', 'whole'], true)
                && preg_match('~\d~', $value) !== 1
            ) {
                // “frames: all” says what is rendered, and not which frames
                $field = RequirementId::TIME_EXTENT;
            }
            if (
                $meaning === null
                && $field === RequirementId::TIME_RANGE
                && preg_match('~^(?:.*[./:])?\s*(?:number of |total )?frames$~i', trim($name)) === 1
                && preg_match('~^\d{1,9}$~', $value) === 1
            ) {
                // “frames: 96” says how many, and not which
                $field = RequirementId::TIME_COUNT;
            }
            if (
                $meaning === null
                && $field === RequirementId::NAMING_PATTERN
                && preg_match('~^(?:.*[./:])?\s*name$~i', trim($name)) === 1
                && preg_match('~#|%0?\d*d|\{frame|\.[A-Za-z][A-Za-z0-9]{1,3}$~', $value) !== 1
            ) {
                // a name without a number and without an extension is that of the scene
                $field = 'scene.file';
            }
            // “color: RGBA” tells of channels; of another value it is not known what it tells
            $field ??= preg_match('~^colou?rs?$~i', trim($name)) === 1
                && preg_match('~^(?:rgba?|y|ya|bw|gr[ae]y(?:scale)?)$~i', $value) === 1
                ? RequirementId::FORMAT_CHANNELS
                : null;
            if ($field === null) {
                $strange[] = Text::shown(mb_strimwidth($name, 0, 80, '…'));
                $unknown[] = new UnknownSetting(
                    Text::shown(mb_strimwidth($name, 0, 200, '…')),
                    Text::shown(mb_strimwidth($value, 0, 200, '…')),
                    null,
                );
            } elseif ($value !== '' || $field === RequirementId::OUTPUT_FOLDER || $field === 'path') {
                if (
                    $meaning === null
                    && $field === RequirementId::FORMAT_BIT_DEPTH
                    && preg_match('~\b(half|float)\b~i', $value) === 1
                ) {
                    // “half” and “32 bit float” tell of both
                    $fields += [RequirementId::FORMAT_SAMPLE => [$name, 'float']];
                }
                // one name for two settings: a number is that of a compression
                $field = $meaning === null
                    && $field === RequirementId::RENDER_QUALITY
                    && is_numeric(rtrim($value, '% '))
                    ? RequirementId::FORMAT_QUALITY
                    : $field;
                $fields[$field] = [$name, $value];
            }
        }
        $fields += $passes === [] ? [] : ['passes' => ['passes', implode(', ', $passes)]];
        if (
            preg_match(
                '~^(.*?\d)\D{0,4}[\s,]*(?:@|at|[(,;])\s*(\d{1,4}(?:[.,]\d+)?\s*%)\)?(?:\s*scale)?\s*$~iu',
                $fields[RequirementId::PICTURE_RESOLUTION][1] ?? '',
                $m,
            ) === 1
        ) {
            // “1280 x 720 at 50 %” is a size and its scale
            $fields = [RequirementId::PICTURE_RESOLUTION => [$fields[RequirementId::PICTURE_RESOLUTION][0], $m[1]]]
                + $fields
                + [RequirementId::PICTURE_SCALE => [$fields[RequirementId::PICTURE_RESOLUTION][0], $m[2]]];
        }
        $fields = FormatDetails::spread($fields);
        foreach (['first' => 'last', 'last' => 'first'] as $one => $other) {
            if (
                isset($fields[$one])
                && ! isset($fields[$other])
                && ! isset($fields[RequirementId::TIME_RANGE])
                && ! isset($fields[RequirementId::TIME_COUNT])
            ) {
                // one end alone is no range, and is not passed over
                $strange[] = Text::shown($fields[$one][0]).': the other end of the range is not told.';
                $unknown[] = new UnknownSetting(
                    Text::shown($fields[$one][0]),
                    Text::shown($fields[$one][1]),
                    RequirementId::TIME_RANGE,
                    'The other end of the range is not told.',
                );
            }
        }
        $values = array_map(static fn (array $f): string => $f[1], $fields);
        $scene = array_filter(
            [
                'part' => $values['scene.part'] ?? null,
                'file' => $values['scene.file'] ?? null,
                'saved' => $values[RequirementId::SCENE_SAVED] ?? null,
                'project_folder' => $values['scene.project_folder'] ?? null,
            ],
            is_string(...),
        );
        if (isset($values['scene.unsaved']) && ! isset($scene['saved'])) {
            $scene['saved'] = Spellings::truth($values['scene.unsaved']) === false ? 'yes' : 'no';
        }
        $settings = [];
        foreach ($values as $field => $value) {
            if (in_array($field, self::LISTS, true)) {
                $settings[$field] = self::names($field, $value);
            } elseif ($field === RequirementId::PICTURE_SCALE) {
                $settings[$field] = $map?->of($fields[$field][0])?->unit === null
                    ? self::percent($value, $fields[$field][0])
                    : $value;
            } elseif (! in_array($field, self::TOGETHER, true)) {
                $settings[$field] = $value;
            }
        }

        $together = self::together($values);
        if (
            isset($together[RequirementId::PICTURE_RESOLUTION])
            && preg_match(
                '~^\d{2,4}(?:\.\d+)?(?:\s*(?:dpi|ppi))?$~i',
                $values[RequirementId::PICTURE_RESOLUTION] ?? '',
            ) === 1
        ) {
            // a lone number beside width and height is how many pixels an inch has
            $together += [RequirementId::PICTURE_DENSITY => $values[RequirementId::PICTURE_RESOLUTION]];
        }
        // width and height, first and last, are plainer than one word for both
        $plainer = array_intersect_key(
            $together,
            [
                RequirementId::PICTURE_RESOLUTION => 1,
                RequirementId::PICTURE_REGION => 1,
                RequirementId::TIME_SPEED => 1,
                RequirementId::TIME_RATE => 1,
            ],
        );

        return new RawSettings(
            $scene,
            $plainer + $settings + $together,
            new Misread($strange, $unknown),
            array_map(static fn (array $f): string => $f[0], $fields),
        );
    }

    /**
     * What is told in two fields, or two things in one.
     *
     * @param  array<string, string>  $values
     * @return array<string, string>
     */
    private static function together(array $values): array
    {
        $settings = [];
        if (isset($values['width'], $values['height'])) {
            $pixels = static fn (string $side): string => (string) preg_replace(
                '~\s*(?:px|pixels?)\.?$~i',
                '',
                trim($side),
            );
            $settings[RequirementId::PICTURE_RESOLUTION] = "{$pixels($values['width'])}x{$pixels($values['height'])}";
        }
        $settings += SceneRegion::of($values);
        if (isset($values['old length'], $values['new length'])) {
            $settings[RequirementId::TIME_SPEED] = self::stretch($values['old length'], $values['new length']);
        }
        if (isset($values['first'], $values['last'])) {
            [$first, $last] = [self::frame($values['first']), self::frame($values['last'])];
            $settings[RequirementId::TIME_RANGE] = $first === $last ? $first : "{$first}-{$last}";
        }
        if (isset($values[RequirementId::TIME_RATE], $values['rate base'])) {
            $settings += self::rate($values[RequirementId::TIME_RATE], $values['rate base']);
        }
        if (isset($values['path'])) {
            $path = strtr($values['path'], '\\', '/');
            $path = self::isFolder($path) ? rtrim($path, '/').'/' : $path;
            $slash = strrpos($path, '/');
            // no path is an answer: none is set; a name alone tells nothing of its folder
            $settings += $slash === false && $path !== ''
                ? []
                : [RequirementId::OUTPUT_FOLDER => substr($path, 0, max(1, (int) $slash))];
            $name = $slash === false ? $path : substr($path, $slash + 1);
            $settings += $name === '' ? [] : [RequirementId::NAMING_PATTERN => $name];
            if (preg_match('~\.([A-Za-z][A-Za-z0-9]{1,4})$~', $name, $m) === 1) {
                $settings += [RequirementId::FORMAT_KIND => $m[1]];
            }
        }

        return $settings;
    }

    /**
     * A whole rate over a base near one, `24` over `1.001`.
     *
     * @return array<string, string>
     */
    private static function rate(string $rate, string $base): array
    {
        if (
            preg_match('~^\d{1,3}$~', trim($rate)) !== 1
            || preg_match('~^\d{1,4}(?:\.\d{1,6})?$~', trim($base)) !== 1
            || (float) $base === 0.0
        ) {
            return [];
        }

        return [
            RequirementId::TIME_RATE => (string) BigRational::of(trim($rate))->dividedBy(trim($base))->simplified(),
        ];
    }

    /** A path whose last word has neither number nor extension, and does not wait for a number, stays whole. */
    private static function isFolder(string $path): bool
    {
        $last = substr($path, (int) strrpos("/{$path}", '/'));

        return str_contains($path, '/')
            && $last !== ''
            && preg_match('~#|%0?\d*d|\{|[._-]$|\.[A-Za-z][A-Za-z0-9]{1,4}$~', $last) !== 1;
    }

    /** The length after by the length before, both in whatever they were counted. */
    private static function stretch(string $old, string $new): string
    {
        $number = static fn (string $text): string => (string) preg_replace('~^\s*(\d+(?:\.\d+)?).*$~s', '$1', $text);

        return "{$number($new)}/{$number($old)}";
    }

    /** `1001.0` is frame 1001. */
    private static function frame(string $text): string
    {
        return (string) preg_replace('~^(-?\d+)\.0+$~', '$1', $text);
    }

    /** A half is written as 0.5, and as 50 with or without its sign. */
    private static function percent(string $value, string $name): string
    {
        // nobody renders at two percent: small numbers are factors
        if (
            preg_match('~^(?:[x×]\s*)?(?:[0-3]?\.\d+|[0-3]|[0-4]\.0*|4)\s*[x×]?$~iu', $value) === 1
            && stripos($name, 'percent') === false
        ) {
            $value = (string) preg_replace('~[x×\s]~iu', '', $value);

            return (string) \Brick\Math\BigDecimal::of($value)->multipliedBy(100)->stripTrailingZeros();
        }

        return $value;
    }

    /** @return list<string|array{name: string, saved: string}> */
    private static function names(string $field, string $value): array
    {
        $names = preg_split('~\s*[,;|]\s*~', trim($value, "[]() \t"), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $names = array_map(static fn (string $name): string => trim($name, "\"' "), $names);

        return $field !== 'passes'
            ? $names
            : array_map(
                static fn (string $name): string|array => preg_match(
                    '~^(.+?)\s*[=:]\s*(yes|no|on|off|true|false|1|0|enabled|disabled)$~i',
                    $name,
                    $m,
                ) === 1
                    ? ['name' => $m[1], 'saved' => $m[2]]
                    : $name,
                $names,
            );
    }
}
