<?php

declare(strict_types=1);

namespace PlainLedger\Core\Scene;

use PlainLedger\Core\Specification\RequirementId;

/** What settings are called by people and programs: data, which `FieldNames` reads. */
final readonly class FieldNameTable
{
    /** By field, its usual names in small letters and digits. A field without a dot is a part of one. */
    public const USUAL = [
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
    public const MEAN_ANYTHING = [
        'scale', 'percent', 'percentage', 'size', 'dimensions', 'width', 'height', 'start', 'end', 'in', 'out', 'from',
        'to', 'by', 'first', 'last', 'name', 'path', 'output', 'format', 'depth', 'bits', 'view', 'views', 'look',
        'exposure', 'gamma', 'effects', 'post', 'grid', 'guides', 'helpers', 'overlays',
        'border', 'crop', 'region', 'fields', 'scan', 'rate', 'extension', 'ext', 'layers', 'passes', 'channels',
        'step', 'increment', 'range', 'frames', 'speed', 'quality', 'samples', 'folder', 'directory', 'project',
        'scene', 'alpha', 'compression', 'density', 'projection', 'lens', 'sound', 'audio', 'stamp', 'modified',
        'saved', 'container', 'codec', 'encoder', 'transparency', 'camera', 'cam', 'cameras',
    ];

    /** What stands within these is about something in the scene, or about the program, and not about the output. */
    public const OTHER_THINGS = '~transform|translat|rotat|material|object|light|lamp|mesh|textur|shader|particle'
        .'|physic|simulat|window|viewport|interface|editor|modifier|bone|armature|\brig|geometr|node|brush|select'
        .'|asset|plug-?in|add-?on|licen[cs]e|hardware|host|user|history|proxy~i';

    /** Fields of several words, as people point at them; those that are no requirement of their own. */
    public const LABELS = [
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
}
