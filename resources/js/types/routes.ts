/* Written by bin/generate from the routes; changes here are lost. */

import type { Config } from 'ziggy-js';

export const routes: Config = {
    url: '',
    port: null,
    defaults: {},
    routes: {
        'api.page': { uri: 'api', methods: ['GET', 'HEAD'] },
        'api.document': { uri: 'api/openapi.json', methods: ['GET', 'HEAD'] },
        'sign-in': { uri: 'sign-in', methods: ['GET', 'HEAD'] },
        'sign-in.store': { uri: 'sign-in', methods: ['POST'] },
        'sign-in.code': { uri: 'sign-in/code', methods: ['GET', 'HEAD'] },
        'sign-in.code.store': { uri: 'sign-in/code', methods: ['POST'] },
        'record.open': { uri: 'records/{link}', methods: ['GET', 'HEAD'], parameters: ['link'] },
        join: { uri: 'join/{word}', methods: ['GET', 'HEAD'], parameters: ['word'] },
        'join.new': { uri: 'join/{word}', methods: ['POST'], parameters: ['word'] },
        'join.known': { uri: 'join/{word}', methods: ['PUT'], parameters: ['word'] },
        'own.open': { uri: 'own/{link}', methods: ['GET', 'HEAD'], parameters: ['link'] },
        'own.begin': { uri: 'own/{link}', methods: ['POST'], parameters: ['link'] },
        picked: { uri: 'picked/{picked}', methods: ['GET', 'HEAD'], parameters: ['picked'] },
        'picked.stop': { uri: 'picked/{picked}', methods: ['DELETE'], parameters: ['picked'] },
        'picked.names': { uri: 'picked/{picked}/names', methods: ['POST'], parameters: ['picked'] },
        'picked.slices': { uri: 'picked/{picked}/slices', methods: ['POST'], parameters: ['picked'] },
        'sign-out': { uri: 'sign-out', methods: ['POST'] },
        productions: { uri: '/', methods: ['GET', 'HEAD'] },
        tokens: { uri: 'tokens', methods: ['GET', 'HEAD'] },
        'tokens.store': { uri: 'tokens', methods: ['POST'] },
        'tokens.drop': { uri: 'tokens/{token}', methods: ['DELETE'], parameters: ['token'] },
        'codes.offer': { uri: 'codes', methods: ['PUT'] },
        'codes.begin': { uri: 'codes', methods: ['POST'] },
        'codes.end': { uri: 'codes', methods: ['DELETE'] },
        'sign-out.elsewhere': { uri: 'sign-out/elsewhere', methods: ['POST'] },
        password: { uri: 'password', methods: ['PATCH'] },
        notices: { uri: 'notices', methods: ['GET', 'HEAD'] },
        'notices.read': { uri: 'notices', methods: ['POST'] },
        'notices.wish': { uri: 'notices', methods: ['PATCH'] },
        causes: { uri: 'causes', methods: ['GET', 'HEAD'] },
        calculator: { uri: 'calculator', methods: ['GET', 'HEAD'] },
        'production.new': { uri: 'productions/new', methods: ['GET', 'HEAD'] },
        'production.store': { uri: 'productions', methods: ['POST'] },
        administration: { uri: 'administration', methods: ['GET', 'HEAD'] },
        acts: { uri: 'administration/history', methods: ['GET', 'HEAD'] },
        sample: { uri: 'productions/sample', methods: ['POST'] },
        'sample.drop': { uri: 'productions/{production}/sample', methods: ['DELETE'], parameters: ['production'] },
        'production.drop': { uri: 'productions/{production}', methods: ['DELETE'], parameters: ['production'] },
        'production.restore': { uri: 'productions/{production}', methods: ['PUT'], parameters: ['production'] },
        limits: { uri: 'productions/{production}/limits', methods: ['PATCH'], parameters: ['production'] },
        'account.update': { uri: 'people/{user}', methods: ['PATCH'], parameters: ['user'] },
        'account.codes': { uri: 'people/{user}/codes', methods: ['DELETE'], parameters: ['user'] },
        'account.password': { uri: 'people/{user}/password', methods: ['POST'], parameters: ['user'] },
        'failed.again': { uri: 'work/{failed}', methods: ['POST'], parameters: ['failed'] },
        'failed.drop': { uri: 'work/{failed}', methods: ['DELETE'], parameters: ['failed'] },
        people: { uri: 'productions/{production}/people', methods: ['GET', 'HEAD'], parameters: ['production'] },
        'people.invite': { uri: 'productions/{production}/people', methods: ['POST'], parameters: ['production'] },
        'people.role': {
            uri: 'productions/{production}/people/{membership}',
            methods: ['PATCH'],
            parameters: ['production', 'membership'],
        },
        'people.drop': {
            uri: 'productions/{production}/people/{membership}',
            methods: ['DELETE'],
            parameters: ['production', 'membership'],
        },
        roster: { uri: 'productions/{production}/roster', methods: ['POST'], parameters: ['production'] },
        'people.data': {
            uri: 'productions/{production}/people/{membership}/data.zip',
            methods: ['GET', 'HEAD'],
            parameters: ['production', 'membership'],
        },
        'people.forget': {
            uri: 'productions/{production}/people/{membership}/data',
            methods: ['DELETE'],
            parameters: ['production', 'membership'],
        },
        'invitation.drop': {
            uri: 'productions/{production}/invitations/{invitation}',
            methods: ['DELETE'],
            parameters: ['production', 'invitation'],
        },
        history: { uri: 'productions/{production}/history', methods: ['GET', 'HEAD'], parameters: ['production'] },
        'history.export': {
            uri: 'productions/{production}/history.{format}',
            methods: ['GET', 'HEAD'],
            parameters: ['production', 'format'],
        },
        settings: { uri: 'productions/{production}/settings', methods: ['GET', 'HEAD'], parameters: ['production'] },
        'settings.update': { uri: 'productions/{production}/settings', methods: ['PATCH'], parameters: ['production'] },
        'webhook.store': { uri: 'productions/{production}/webhooks', methods: ['POST'], parameters: ['production'] },
        retention: { uri: 'productions/{production}/retention', methods: ['PATCH'], parameters: ['production'] },
        'root.add': { uri: 'productions/{production}/roots', methods: ['POST'], parameters: ['production'] },
        'root.update': {
            uri: 'productions/{production}/roots/{intakeRoot}',
            methods: ['PATCH'],
            parameters: ['production', 'intakeRoot'],
        },
        'root.drop': {
            uri: 'productions/{production}/roots/{intakeRoot}',
            methods: ['DELETE'],
            parameters: ['production', 'intakeRoot'],
        },
        'production.archive': {
            uri: 'productions/{production}/archive',
            methods: ['POST'],
            parameters: ['production'],
        },
        'production.back': { uri: 'productions/{production}/archive', methods: ['DELETE'], parameters: ['production'] },
        production: { uri: 'productions/{production}', methods: ['GET', 'HEAD'], parameters: ['production'] },
        index: { uri: 'productions/{production}/index', methods: ['GET', 'HEAD'], parameters: ['production'] },
        bring: { uri: 'productions/{production}/bring', methods: ['GET', 'HEAD'], parameters: ['production'] },
        practice: { uri: 'productions/{production}/practice', methods: ['GET', 'HEAD'], parameters: ['production'] },
        'bring.look': { uri: 'productions/{production}/bring', methods: ['POST'], parameters: ['production'] },
        scenes: { uri: 'productions/{production}/scenes', methods: ['GET', 'HEAD'], parameters: ['production'] },
        'scenes.store': { uri: 'productions/{production}/scenes', methods: ['POST'], parameters: ['production'] },
        'scenes.read': { uri: 'productions/{production}/scenes/read', methods: ['POST'], parameters: ['production'] },
        'deliverable.new': {
            uri: 'productions/{production}/deliverables/new',
            methods: ['GET', 'HEAD'],
            parameters: ['production'],
        },
        'deliverable.store': {
            uri: 'productions/{production}/deliverables',
            methods: ['POST'],
            parameters: ['production'],
        },
        'deliverables.change': {
            uri: 'productions/{production}/deliverables',
            methods: ['PATCH'],
            parameters: ['production'],
        },
        house: { uri: 'productions/{production}/house', methods: ['GET', 'HEAD'], parameters: ['production'] },
        'house.update': { uri: 'productions/{production}/house', methods: ['PATCH'], parameters: ['production'] },
        list: { uri: 'productions/{production}/list', methods: ['GET', 'HEAD'], parameters: ['production'] },
        'list.store': { uri: 'productions/{production}/list', methods: ['POST'], parameters: ['production'] },
        'list.read': { uri: 'productions/{production}/list/read', methods: ['POST'], parameters: ['production'] },
        together: { uri: 'productions/{production}/together', methods: ['GET', 'HEAD'], parameters: ['production'] },
        'together.store': { uri: 'productions/{production}/together', methods: ['POST'], parameters: ['production'] },
        reference: { uri: 'productions/{production}/reference', methods: ['GET', 'HEAD'], parameters: ['production'] },
        'preset.store': { uri: 'productions/{production}/presets', methods: ['POST'], parameters: ['production'] },
        'practice.set': { uri: 'productions/{production}/practice', methods: ['POST'], parameters: ['production'] },
        gradebook: { uri: 'productions/{production}/gradebook', methods: ['GET', 'HEAD'], parameters: ['production'] },
        phrases: { uri: 'productions/{production}/phrases', methods: ['PATCH'], parameters: ['production'] },
        'gradebook.read': {
            uri: 'productions/{production}/gradebook/read',
            methods: ['POST'],
            parameters: ['production'],
        },
        'gradebook.fill': { uri: 'productions/{production}/gradebook', methods: ['POST'], parameters: ['production'] },
        board: { uri: 'productions/{production}/board', methods: ['GET', 'HEAD'], parameters: ['production'] },
        specifications: {
            uri: 'productions/{production}/specifications',
            methods: ['GET', 'HEAD'],
            parameters: ['production'],
        },
        'view.keep': { uri: 'productions/{production}/views', methods: ['POST'], parameters: ['production'] },
        movies: { uri: 'productions/{production}/movies', methods: ['GET', 'HEAD'], parameters: ['production'] },
        outbox: { uri: 'productions/{production}/outbox', methods: ['GET', 'HEAD'], parameters: ['production'] },
        'outbox.write': { uri: 'productions/{production}/outbox', methods: ['POST'], parameters: ['production'] },
        'outbox.clear': { uri: 'productions/{production}/outbox', methods: ['DELETE'], parameters: ['production'] },
        pool: { uri: 'productions/{production}/pool', methods: ['PATCH'], parameters: ['production'] },
        tree: { uri: 'productions/{production}/tree', methods: ['GET', 'HEAD'], parameters: ['production'] },
        'tree.assign': { uri: 'productions/{production}/tree', methods: ['PATCH'], parameters: ['production'] },
        'tree.stop': { uri: 'productions/{production}/tree', methods: ['DELETE'], parameters: ['production'] },
        names: { uri: 'productions/{production}/names', methods: ['GET', 'HEAD'], parameters: ['production'] },
        'names.update': { uri: 'productions/{production}/names', methods: ['PATCH'], parameters: ['production'] },
        'names.import': { uri: 'productions/{production}/names', methods: ['POST'], parameters: ['production'] },
        'names.export': {
            uri: 'productions/{production}/field-map.json',
            methods: ['GET', 'HEAD'],
            parameters: ['production'],
        },
        'production.recheck': {
            uri: 'productions/{production}/recheck',
            methods: ['POST'],
            parameters: ['production'],
        },
        'list.export': {
            uri: 'productions/{production}/deliverables.{format}',
            methods: ['GET', 'HEAD'],
            parameters: ['production', 'format'],
        },
        note: {
            uri: 'productions/{production}/delivery-note.{format}',
            methods: ['GET', 'HEAD'],
            parameters: ['production', 'format'],
        },
        'together.read': {
            uri: 'productions/{production}/together/read',
            methods: ['POST'],
            parameters: ['production'],
        },
        'tree.begin': { uri: 'productions/{production}/tree', methods: ['POST'], parameters: ['production'] },
        'tree.checks': { uri: 'productions/{production}/tree/checks', methods: ['POST'], parameters: ['production'] },
        proof: { uri: 'productions/{production}/proof', methods: ['GET', 'HEAD'], parameters: ['production'] },
        'reference.propose': {
            uri: 'productions/{production}/reference',
            methods: ['POST'],
            parameters: ['production'],
        },
        grades: { uri: 'productions/{production}/results.csv', methods: ['GET', 'HEAD'], parameters: ['production'] },
        'outbox.export': {
            uri: 'productions/{production}/outbox.{format}',
            methods: ['GET', 'HEAD'],
            parameters: ['production', 'format'],
        },
        plan: { uri: 'productions/{production}/render', methods: ['GET', 'HEAD'], parameters: ['production'] },
        shape: { uri: 'productions/{production}/log-shapes', methods: ['POST'], parameters: ['production'] },
        'preset.rename': { uri: 'presets/{preset}', methods: ['PATCH'], parameters: ['preset'] },
        'preset.destroy': { uri: 'presets/{preset}', methods: ['DELETE'], parameters: ['preset'] },
        revisions: { uri: 'specifications/{specification}', methods: ['GET', 'HEAD'], parameters: ['specification'] },
        'specification.rename': {
            uri: 'specifications/{specification}',
            methods: ['PATCH'],
            parameters: ['specification'],
        },
        'specification.drop': {
            uri: 'specifications/{specification}',
            methods: ['DELETE'],
            parameters: ['specification'],
        },
        'specification.copy': {
            uri: 'specifications/{specification}/copy',
            methods: ['POST'],
            parameters: ['specification'],
        },
        assignment: {
            uri: 'specifications/{specification}/assignment',
            methods: ['GET', 'HEAD'],
            parameters: ['specification'],
        },
        'assignment.save': {
            uri: 'specifications/{specification}/assignment',
            methods: ['PATCH'],
            parameters: ['specification'],
        },
        'assignment.everybody': {
            uri: 'specifications/{specification}/everybody',
            methods: ['POST'],
            parameters: ['specification'],
        },
        'assignment.release': {
            uri: 'specifications/{specification}/release',
            methods: ['POST'],
            parameters: ['specification'],
        },
        'assignment.hide': {
            uri: 'specifications/{specification}/release',
            methods: ['DELETE'],
            parameters: ['specification'],
        },
        'assignment.extend': {
            uri: 'specifications/{specification}/extensions',
            methods: ['POST'],
            parameters: ['specification'],
        },
        'assignment.return': {
            uri: 'specifications/{specification}/returns',
            methods: ['POST'],
            parameters: ['specification'],
        },
        'assignment.mark': {
            uri: 'specifications/{specification}/marks',
            methods: ['POST'],
            parameters: ['specification'],
        },
        'assignment.write': {
            uri: 'specifications/{specification}/letters',
            methods: ['POST'],
            parameters: ['specification'],
        },
        'feedback.all': {
            uri: 'specifications/{specification}/feedback.zip',
            methods: ['GET', 'HEAD'],
            parameters: ['specification'],
        },
        'specification.retire': {
            uri: 'specifications/{specification}/retired',
            methods: ['PUT'],
            parameters: ['specification'],
        },
        'specification.parts': {
            uri: 'specifications/{specification}/parts',
            methods: ['POST'],
            parameters: ['specification'],
        },
        'specification.recheck': {
            uri: 'specifications/{specification}/recheck',
            methods: ['POST'],
            parameters: ['specification'],
        },
        deliverable: { uri: 'deliverables/{deliverable}', methods: ['GET', 'HEAD'], parameters: ['deliverable'] },
        specification: {
            uri: 'deliverables/{deliverable}/specification',
            methods: ['GET', 'HEAD'],
            parameters: ['deliverable'],
        },
        scene: { uri: 'deliverables/{deliverable}/scene', methods: ['GET', 'HEAD'], parameters: ['deliverable'] },
        frames: { uri: 'deliverables/{deliverable}/frames', methods: ['GET', 'HEAD'], parameters: ['deliverable'] },
        movie: { uri: 'deliverables/{deliverable}/movie', methods: ['GET', 'HEAD'], parameters: ['deliverable'] },
        recipe: {
            uri: 'deliverables/{deliverable}/recipe.{format}',
            methods: ['GET', 'HEAD'],
            parameters: ['deliverable', 'format'],
        },
        render: { uri: 'deliverables/{deliverable}/render', methods: ['GET', 'HEAD'], parameters: ['deliverable'] },
        submission: {
            uri: 'deliverables/{deliverable}/submission',
            methods: ['GET', 'HEAD'],
            parameters: ['deliverable'],
        },
        'hand-in': { uri: 'deliverables/{deliverable}/hand-in', methods: ['GET', 'HEAD'], parameters: ['deliverable'] },
        'hand-out': {
            uri: 'deliverables/{deliverable}/hand-out',
            methods: ['GET', 'HEAD'],
            parameters: ['deliverable'],
        },
        presence: { uri: 'deliverables/{deliverable}/presence', methods: ['POST'], parameters: ['deliverable'] },
        sheet: {
            uri: 'deliverables/{deliverable}/sheet.{format}',
            methods: ['GET', 'HEAD'],
            parameters: ['deliverable', 'format'],
        },
        'scene.template': {
            uri: 'deliverables/{deliverable}/settings.{format}',
            methods: ['GET', 'HEAD'],
            parameters: ['deliverable', 'format'],
        },
        about: { uri: 'deliverables/{deliverable}/about', methods: ['GET', 'HEAD'], parameters: ['deliverable'] },
        'about.update': { uri: 'deliverables/{deliverable}/about', methods: ['PATCH'], parameters: ['deliverable'] },
        'about.copy': { uri: 'deliverables/{deliverable}/copy', methods: ['POST'], parameters: ['deliverable'] },
        away: { uri: 'deliverables/{deliverable}/away', methods: ['POST'], parameters: ['deliverable'] },
        'away.back': { uri: 'deliverables/{deliverable}/away', methods: ['DELETE'], parameters: ['deliverable'] },
        'away.forget': { uri: 'deliverables/{deliverable}', methods: ['DELETE'], parameters: ['deliverable'] },
        requirements: {
            uri: 'deliverables/{deliverable}/requirements',
            methods: ['PATCH'],
            parameters: ['deliverable'],
        },
        approved: { uri: 'deliverables/{deliverable}/approved', methods: ['POST'], parameters: ['deliverable'] },
        values: { uri: 'deliverables/{deliverable}/values', methods: ['PATCH'], parameters: ['deliverable'] },
        'sheet.share': { uri: 'deliverables/{deliverable}/sheets', methods: ['POST'], parameters: ['deliverable'] },
        extension: { uri: 'deliverables/{deliverable}/extension', methods: ['PUT'], parameters: ['deliverable'] },
        team: { uri: 'deliverables/{deliverable}/team', methods: ['PUT'], parameters: ['deliverable'] },
        'submission.sign': {
            uri: 'deliverables/{deliverable}/submission',
            methods: ['POST'],
            parameters: ['deliverable'],
        },
        'hand-in.store': { uri: 'deliverables/{deliverable}/hand-in', methods: ['POST'], parameters: ['deliverable'] },
        'scene.store': { uri: 'deliverables/{deliverable}/scene', methods: ['POST'], parameters: ['deliverable'] },
        'scene.piece': {
            uri: 'deliverables/{deliverable}/scene/pieces',
            methods: ['POST'],
            parameters: ['deliverable'],
        },
        'scene.entry': {
            uri: 'deliverables/{deliverable}/scene/enter',
            methods: ['GET', 'HEAD'],
            parameters: ['deliverable'],
        },
        'scene.typed': {
            uri: 'deliverables/{deliverable}/scene/typed',
            methods: ['POST'],
            parameters: ['deliverable'],
        },
        'scene.part': { uri: 'deliverables/{deliverable}/scene/part', methods: ['PUT'], parameters: ['deliverable'] },
        'scene.point': {
            uri: 'deliverables/{deliverable}/scene/names',
            methods: ['POST'],
            parameters: ['deliverable'],
        },
        tick: { uri: 'deliverables/{deliverable}/ticks', methods: ['POST'], parameters: ['deliverable'] },
        'render.update': { uri: 'deliverables/{deliverable}/render', methods: ['PATCH'], parameters: ['deliverable'] },
        logs: { uri: 'deliverables/{deliverable}/logs', methods: ['GET', 'HEAD'], parameters: ['deliverable'] },
        'logs.send': { uri: 'deliverables/{deliverable}/logs', methods: ['POST'], parameters: ['deliverable'] },
        'logs.begin': { uri: 'deliverables/{deliverable}/logs/follow', methods: ['POST'], parameters: ['deliverable'] },
        intake: { uri: 'deliverables/{deliverable}/intake', methods: ['GET', 'HEAD'], parameters: ['deliverable'] },
        watch: { uri: 'deliverables/{deliverable}/watch', methods: ['POST'], parameters: ['deliverable'] },
        'watch.stop': { uri: 'deliverables/{deliverable}/watch', methods: ['DELETE'], parameters: ['deliverable'] },
        archive: { uri: 'deliverables/{deliverable}/archive', methods: ['GET', 'HEAD'], parameters: ['deliverable'] },
        'archive.piece': { uri: 'deliverables/{deliverable}/archive', methods: ['POST'], parameters: ['deliverable'] },
        'picked.begin': { uri: 'deliverables/{deliverable}/picked', methods: ['POST'], parameters: ['deliverable'] },
        'checks.store': { uri: 'deliverables/{deliverable}/checks', methods: ['POST'], parameters: ['deliverable'] },
        'webhook.test': { uri: 'webhooks/{webhook}', methods: ['POST'], parameters: ['webhook'] },
        'webhook.drop': { uri: 'webhooks/{webhook}', methods: ['DELETE'], parameters: ['webhook'] },
        'view.drop': { uri: 'views/{view}', methods: ['DELETE'], parameters: ['view'] },
        'message.drop': { uri: 'messages/{message}', methods: ['DELETE'], parameters: ['message'] },
        'sheet.revoke': { uri: 'sheets/{link}', methods: ['DELETE'], parameters: ['link'] },
        'change.turn': { uri: 'changes/{change}/{way}', methods: ['POST'], parameters: ['change', 'way'] },
        log: { uri: 'logs/{log}', methods: ['GET', 'HEAD'], parameters: ['log'] },
        'log.drop': { uri: 'logs/{log}', methods: ['DELETE'], parameters: ['log'] },
        'moves.undo': { uri: 'moves/{move}', methods: ['DELETE'], parameters: ['move'] },
        'waiver.drop': { uri: 'waivers/{waiver}', methods: ['DELETE'], parameters: ['waiver'] },
        'practice.drop': { uri: 'practice/{exercise}', methods: ['DELETE'], parameters: ['exercise'] },
        try: { uri: 'practice/{exercise}', methods: ['GET', 'HEAD'], parameters: ['exercise'] },
        'try.begin': { uri: 'practice/{exercise}', methods: ['POST'], parameters: ['exercise'] },
        'try.answer': { uri: 'practice/{exercise}/answer', methods: ['POST'], parameters: ['exercise'] },
        'try.write': { uri: 'practice/{exercise}/specification', methods: ['POST'], parameters: ['exercise'] },
        'try.files': { uri: 'practice/{exercise}/files.zip', methods: ['GET', 'HEAD'], parameters: ['exercise'] },
        feedback: { uri: 'hand-ins/{handIn}', methods: ['GET', 'HEAD'], parameters: ['handIn'] },
        'feedback.file': {
            uri: 'hand-ins/{handIn}/feedback.{format}',
            methods: ['GET', 'HEAD'],
            parameters: ['handIn', 'format'],
        },
        'feedback.mark': { uri: 'hand-ins/{handIn}/mark', methods: ['PUT'], parameters: ['handIn'] },
        'feedback.agree': { uri: 'hand-ins/{handIn}/agreed', methods: ['PUT'], parameters: ['handIn'] },
        'feedback.return': { uri: 'hand-ins/{handIn}/return', methods: ['POST'], parameters: ['handIn'] },
        seal: { uri: 'submissions/{submission}/seal', methods: ['GET', 'HEAD'], parameters: ['submission'] },
        package: { uri: 'submissions/{submission}/package.zip', methods: ['GET', 'HEAD'], parameters: ['submission'] },
        record: {
            uri: 'submissions/{submission}/record.{format}',
            methods: ['GET', 'HEAD'],
            parameters: ['submission', 'format'],
        },
        'submission.withdraw': {
            uri: 'submissions/{submission}/withdraw',
            methods: ['POST'],
            parameters: ['submission'],
        },
        'seal.again': { uri: 'submissions/{submission}/seal', methods: ['POST'], parameters: ['submission'] },
        'seal.stop': { uri: 'submissions/{submission}/seal', methods: ['DELETE'], parameters: ['submission'] },
        sums: { uri: 'submissions/{submission}/sums', methods: ['GET', 'HEAD'], parameters: ['submission'] },
        'sums.tell': { uri: 'submissions/{submission}/sums', methods: ['POST'], parameters: ['submission'] },
        'record.share': { uri: 'submissions/{submission}/links', methods: ['POST'], parameters: ['submission'] },
        check: { uri: 'checks/{check}', methods: ['GET', 'HEAD'], parameters: ['check'] },
        'check.progress': { uri: 'checks/{check}/progress', methods: ['GET', 'HEAD'], parameters: ['check'] },
        'check.again': { uri: 'checks/{check}/again', methods: ['POST'], parameters: ['check'] },
        'check.stop': { uri: 'checks/{check}/stop', methods: ['POST'], parameters: ['check'] },
        waive: { uri: 'checks/{check}/waivers', methods: ['POST'], parameters: ['check'] },
        'check.report': {
            uri: 'checks/{check}/report.{format}',
            methods: ['GET', 'HEAD'],
            parameters: ['check', 'format'],
        },
        moves: { uri: 'checks/{check}/moves', methods: ['GET', 'HEAD'], parameters: ['check'] },
        'moves.do': { uri: 'checks/{check}/moves', methods: ['POST'], parameters: ['check'] },
        'moves.script': {
            uri: 'checks/{check}/moves.{format}',
            methods: ['GET', 'HEAD'],
            parameters: ['check', 'format'],
        },
        against: { uri: 'checks/{check}/against/{other}', methods: ['GET', 'HEAD'], parameters: ['check', 'other'] },
        look: { uri: 'checks/{check}/look/{part}', methods: ['GET', 'HEAD'], parameters: ['check', 'part'] },
        'check.picture': {
            uri: 'checks/{check}/pictures/{part}/{frame}',
            methods: ['GET', 'HEAD'],
            parameters: ['check', 'part', 'frame'],
        },
        'check.movie': { uri: 'checks/{check}/movies/{part}', methods: ['GET', 'HEAD'], parameters: ['check', 'part'] },
        'check.movie.picture': {
            uri: 'checks/{check}/movies/{part}/{picture}',
            methods: ['GET', 'HEAD'],
            parameters: ['check', 'part', 'picture'],
        },
        'check.shown': { uri: 'checks/{check}/shown/{part}', methods: ['POST'], parameters: ['check', 'part'] },
        'check.tagged': {
            uri: 'checks/{check}/tagged/{part}',
            methods: ['GET', 'HEAD'],
            parameters: ['check', 'part'],
        },
        'check.place': {
            uri: 'checks/{check}/places/{part}/{frame}',
            methods: ['GET', 'HEAD'],
            parameters: ['check', 'part', 'frame'],
        },
        find: { uri: 'find', methods: ['GET', 'HEAD'] },
        news: { uri: 'news', methods: ['GET', 'HEAD'] },
        understand: { uri: 'deliverables/{deliverable}/understand', methods: ['POST'], parameters: ['deliverable'] },
        'scene.try': { uri: 'deliverables/{deliverable}/scene/try', methods: ['POST'], parameters: ['deliverable'] },
        'house.understand': {
            uri: 'productions/{production}/understand',
            methods: ['POST'],
            parameters: ['production'],
        },
        'plan.try': { uri: 'productions/{production}/plan', methods: ['POST'], parameters: ['production'] },
        'shape.try': { uri: 'productions/{production}/log-shapes/try', methods: ['POST'], parameters: ['production'] },
        calculate: { uri: 'calculate', methods: ['POST'] },
    },
};

declare module 'ziggy-js' {
    interface TypeConfig {
        strictRouteNames: true;
    }
    interface RouteList {
        'api.page': readonly [];
        'api.document': readonly [];
        'sign-in': readonly [];
        'sign-in.store': readonly [];
        'sign-in.code': readonly [];
        'sign-in.code.store': readonly [];
        'record.open': readonly [{ name: 'link'; required: true }];
        join: readonly [{ name: 'word'; required: true }];
        'join.new': readonly [{ name: 'word'; required: true }];
        'join.known': readonly [{ name: 'word'; required: true }];
        'own.open': readonly [{ name: 'link'; required: true }];
        'own.begin': readonly [{ name: 'link'; required: true }];
        picked: readonly [{ name: 'picked'; required: true }];
        'picked.stop': readonly [{ name: 'picked'; required: true }];
        'picked.names': readonly [{ name: 'picked'; required: true }];
        'picked.slices': readonly [{ name: 'picked'; required: true }];
        'sign-out': readonly [];
        productions: readonly [];
        tokens: readonly [];
        'tokens.store': readonly [];
        'tokens.drop': readonly [{ name: 'token'; required: true }];
        'codes.offer': readonly [];
        'codes.begin': readonly [];
        'codes.end': readonly [];
        'sign-out.elsewhere': readonly [];
        password: readonly [];
        notices: readonly [];
        'notices.read': readonly [];
        'notices.wish': readonly [];
        causes: readonly [];
        calculator: readonly [];
        'production.new': readonly [];
        'production.store': readonly [];
        administration: readonly [];
        acts: readonly [];
        sample: readonly [];
        'sample.drop': readonly [{ name: 'production'; required: true }];
        'production.drop': readonly [{ name: 'production'; required: true }];
        'production.restore': readonly [{ name: 'production'; required: true }];
        limits: readonly [{ name: 'production'; required: true }];
        'account.update': readonly [{ name: 'user'; required: true }];
        'account.codes': readonly [{ name: 'user'; required: true }];
        'account.password': readonly [{ name: 'user'; required: true }];
        'failed.again': readonly [{ name: 'failed'; required: true }];
        'failed.drop': readonly [{ name: 'failed'; required: true }];
        people: readonly [{ name: 'production'; required: true }];
        'people.invite': readonly [{ name: 'production'; required: true }];
        'people.role': readonly [{ name: 'production'; required: true }, { name: 'membership'; required: true }];
        'people.drop': readonly [{ name: 'production'; required: true }, { name: 'membership'; required: true }];
        roster: readonly [{ name: 'production'; required: true }];
        'people.data': readonly [{ name: 'production'; required: true }, { name: 'membership'; required: true }];
        'people.forget': readonly [{ name: 'production'; required: true }, { name: 'membership'; required: true }];
        'invitation.drop': readonly [{ name: 'production'; required: true }, { name: 'invitation'; required: true }];
        history: readonly [{ name: 'production'; required: true }];
        'history.export': readonly [{ name: 'production'; required: true }, { name: 'format'; required: true }];
        settings: readonly [{ name: 'production'; required: true }];
        'settings.update': readonly [{ name: 'production'; required: true }];
        'webhook.store': readonly [{ name: 'production'; required: true }];
        retention: readonly [{ name: 'production'; required: true }];
        'root.add': readonly [{ name: 'production'; required: true }];
        'root.update': readonly [{ name: 'production'; required: true }, { name: 'intakeRoot'; required: true }];
        'root.drop': readonly [{ name: 'production'; required: true }, { name: 'intakeRoot'; required: true }];
        'production.archive': readonly [{ name: 'production'; required: true }];
        'production.back': readonly [{ name: 'production'; required: true }];
        production: readonly [{ name: 'production'; required: true }];
        index: readonly [{ name: 'production'; required: true }];
        bring: readonly [{ name: 'production'; required: true }];
        practice: readonly [{ name: 'production'; required: true }];
        'bring.look': readonly [{ name: 'production'; required: true }];
        scenes: readonly [{ name: 'production'; required: true }];
        'scenes.store': readonly [{ name: 'production'; required: true }];
        'scenes.read': readonly [{ name: 'production'; required: true }];
        'deliverable.new': readonly [{ name: 'production'; required: true }];
        'deliverable.store': readonly [{ name: 'production'; required: true }];
        'deliverables.change': readonly [{ name: 'production'; required: true }];
        house: readonly [{ name: 'production'; required: true }];
        'house.update': readonly [{ name: 'production'; required: true }];
        list: readonly [{ name: 'production'; required: true }];
        'list.store': readonly [{ name: 'production'; required: true }];
        'list.read': readonly [{ name: 'production'; required: true }];
        together: readonly [{ name: 'production'; required: true }];
        'together.store': readonly [{ name: 'production'; required: true }];
        reference: readonly [{ name: 'production'; required: true }];
        'preset.store': readonly [{ name: 'production'; required: true }];
        'practice.set': readonly [{ name: 'production'; required: true }];
        gradebook: readonly [{ name: 'production'; required: true }];
        phrases: readonly [{ name: 'production'; required: true }];
        'gradebook.read': readonly [{ name: 'production'; required: true }];
        'gradebook.fill': readonly [{ name: 'production'; required: true }];
        board: readonly [{ name: 'production'; required: true }];
        specifications: readonly [{ name: 'production'; required: true }];
        'view.keep': readonly [{ name: 'production'; required: true }];
        movies: readonly [{ name: 'production'; required: true }];
        outbox: readonly [{ name: 'production'; required: true }];
        'outbox.write': readonly [{ name: 'production'; required: true }];
        'outbox.clear': readonly [{ name: 'production'; required: true }];
        pool: readonly [{ name: 'production'; required: true }];
        tree: readonly [{ name: 'production'; required: true }];
        'tree.assign': readonly [{ name: 'production'; required: true }];
        'tree.stop': readonly [{ name: 'production'; required: true }];
        names: readonly [{ name: 'production'; required: true }];
        'names.update': readonly [{ name: 'production'; required: true }];
        'names.import': readonly [{ name: 'production'; required: true }];
        'names.export': readonly [{ name: 'production'; required: true }];
        'production.recheck': readonly [{ name: 'production'; required: true }];
        'list.export': readonly [{ name: 'production'; required: true }, { name: 'format'; required: true }];
        note: readonly [{ name: 'production'; required: true }, { name: 'format'; required: true }];
        'together.read': readonly [{ name: 'production'; required: true }];
        'tree.begin': readonly [{ name: 'production'; required: true }];
        'tree.checks': readonly [{ name: 'production'; required: true }];
        proof: readonly [{ name: 'production'; required: true }];
        'reference.propose': readonly [{ name: 'production'; required: true }];
        grades: readonly [{ name: 'production'; required: true }];
        'outbox.export': readonly [{ name: 'production'; required: true }, { name: 'format'; required: true }];
        plan: readonly [{ name: 'production'; required: true }];
        shape: readonly [{ name: 'production'; required: true }];
        'preset.rename': readonly [{ name: 'preset'; required: true }];
        'preset.destroy': readonly [{ name: 'preset'; required: true }];
        revisions: readonly [{ name: 'specification'; required: true }];
        'specification.rename': readonly [{ name: 'specification'; required: true }];
        'specification.drop': readonly [{ name: 'specification'; required: true }];
        'specification.copy': readonly [{ name: 'specification'; required: true }];
        assignment: readonly [{ name: 'specification'; required: true }];
        'assignment.save': readonly [{ name: 'specification'; required: true }];
        'assignment.everybody': readonly [{ name: 'specification'; required: true }];
        'assignment.release': readonly [{ name: 'specification'; required: true }];
        'assignment.hide': readonly [{ name: 'specification'; required: true }];
        'assignment.extend': readonly [{ name: 'specification'; required: true }];
        'assignment.return': readonly [{ name: 'specification'; required: true }];
        'assignment.mark': readonly [{ name: 'specification'; required: true }];
        'assignment.write': readonly [{ name: 'specification'; required: true }];
        'feedback.all': readonly [{ name: 'specification'; required: true }];
        'specification.retire': readonly [{ name: 'specification'; required: true }];
        'specification.parts': readonly [{ name: 'specification'; required: true }];
        'specification.recheck': readonly [{ name: 'specification'; required: true }];
        deliverable: readonly [{ name: 'deliverable'; required: true }];
        specification: readonly [{ name: 'deliverable'; required: true }];
        scene: readonly [{ name: 'deliverable'; required: true }];
        frames: readonly [{ name: 'deliverable'; required: true }];
        movie: readonly [{ name: 'deliverable'; required: true }];
        recipe: readonly [{ name: 'deliverable'; required: true }, { name: 'format'; required: true }];
        render: readonly [{ name: 'deliverable'; required: true }];
        submission: readonly [{ name: 'deliverable'; required: true }];
        'hand-in': readonly [{ name: 'deliverable'; required: true }];
        'hand-out': readonly [{ name: 'deliverable'; required: true }];
        presence: readonly [{ name: 'deliverable'; required: true }];
        sheet: readonly [{ name: 'deliverable'; required: true }, { name: 'format'; required: true }];
        'scene.template': readonly [{ name: 'deliverable'; required: true }, { name: 'format'; required: true }];
        about: readonly [{ name: 'deliverable'; required: true }];
        'about.update': readonly [{ name: 'deliverable'; required: true }];
        'about.copy': readonly [{ name: 'deliverable'; required: true }];
        away: readonly [{ name: 'deliverable'; required: true }];
        'away.back': readonly [{ name: 'deliverable'; required: true }];
        'away.forget': readonly [{ name: 'deliverable'; required: true }];
        requirements: readonly [{ name: 'deliverable'; required: true }];
        approved: readonly [{ name: 'deliverable'; required: true }];
        values: readonly [{ name: 'deliverable'; required: true }];
        'sheet.share': readonly [{ name: 'deliverable'; required: true }];
        extension: readonly [{ name: 'deliverable'; required: true }];
        team: readonly [{ name: 'deliverable'; required: true }];
        'submission.sign': readonly [{ name: 'deliverable'; required: true }];
        'hand-in.store': readonly [{ name: 'deliverable'; required: true }];
        'scene.store': readonly [{ name: 'deliverable'; required: true }];
        'scene.piece': readonly [{ name: 'deliverable'; required: true }];
        'scene.entry': readonly [{ name: 'deliverable'; required: true }];
        'scene.typed': readonly [{ name: 'deliverable'; required: true }];
        'scene.part': readonly [{ name: 'deliverable'; required: true }];
        'scene.point': readonly [{ name: 'deliverable'; required: true }];
        tick: readonly [{ name: 'deliverable'; required: true }];
        'render.update': readonly [{ name: 'deliverable'; required: true }];
        logs: readonly [{ name: 'deliverable'; required: true }];
        'logs.send': readonly [{ name: 'deliverable'; required: true }];
        'logs.begin': readonly [{ name: 'deliverable'; required: true }];
        intake: readonly [{ name: 'deliverable'; required: true }];
        watch: readonly [{ name: 'deliverable'; required: true }];
        'watch.stop': readonly [{ name: 'deliverable'; required: true }];
        archive: readonly [{ name: 'deliverable'; required: true }];
        'archive.piece': readonly [{ name: 'deliverable'; required: true }];
        'picked.begin': readonly [{ name: 'deliverable'; required: true }];
        'checks.store': readonly [{ name: 'deliverable'; required: true }];
        'webhook.test': readonly [{ name: 'webhook'; required: true }];
        'webhook.drop': readonly [{ name: 'webhook'; required: true }];
        'view.drop': readonly [{ name: 'view'; required: true }];
        'message.drop': readonly [{ name: 'message'; required: true }];
        'sheet.revoke': readonly [{ name: 'link'; required: true }];
        'change.turn': readonly [{ name: 'change'; required: true }, { name: 'way'; required: true }];
        log: readonly [{ name: 'log'; required: true }];
        'log.drop': readonly [{ name: 'log'; required: true }];
        'moves.undo': readonly [{ name: 'move'; required: true }];
        'waiver.drop': readonly [{ name: 'waiver'; required: true }];
        'practice.drop': readonly [{ name: 'exercise'; required: true }];
        try: readonly [{ name: 'exercise'; required: true }];
        'try.begin': readonly [{ name: 'exercise'; required: true }];
        'try.answer': readonly [{ name: 'exercise'; required: true }];
        'try.write': readonly [{ name: 'exercise'; required: true }];
        'try.files': readonly [{ name: 'exercise'; required: true }];
        feedback: readonly [{ name: 'handIn'; required: true }];
        'feedback.file': readonly [{ name: 'handIn'; required: true }, { name: 'format'; required: true }];
        'feedback.mark': readonly [{ name: 'handIn'; required: true }];
        'feedback.agree': readonly [{ name: 'handIn'; required: true }];
        'feedback.return': readonly [{ name: 'handIn'; required: true }];
        seal: readonly [{ name: 'submission'; required: true }];
        package: readonly [{ name: 'submission'; required: true }];
        record: readonly [{ name: 'submission'; required: true }, { name: 'format'; required: true }];
        'submission.withdraw': readonly [{ name: 'submission'; required: true }];
        'seal.again': readonly [{ name: 'submission'; required: true }];
        'seal.stop': readonly [{ name: 'submission'; required: true }];
        sums: readonly [{ name: 'submission'; required: true }];
        'sums.tell': readonly [{ name: 'submission'; required: true }];
        'record.share': readonly [{ name: 'submission'; required: true }];
        check: readonly [{ name: 'check'; required: true }];
        'check.progress': readonly [{ name: 'check'; required: true }];
        'check.again': readonly [{ name: 'check'; required: true }];
        'check.stop': readonly [{ name: 'check'; required: true }];
        waive: readonly [{ name: 'check'; required: true }];
        'check.report': readonly [{ name: 'check'; required: true }, { name: 'format'; required: true }];
        moves: readonly [{ name: 'check'; required: true }];
        'moves.do': readonly [{ name: 'check'; required: true }];
        'moves.script': readonly [{ name: 'check'; required: true }, { name: 'format'; required: true }];
        against: readonly [{ name: 'check'; required: true }, { name: 'other'; required: true }];
        look: readonly [{ name: 'check'; required: true }, { name: 'part'; required: true }];
        'check.picture': readonly [
            { name: 'check'; required: true },
            { name: 'part'; required: true },
            { name: 'frame'; required: true },
        ];
        'check.movie': readonly [{ name: 'check'; required: true }, { name: 'part'; required: true }];
        'check.movie.picture': readonly [
            { name: 'check'; required: true },
            { name: 'part'; required: true },
            { name: 'picture'; required: true },
        ];
        'check.shown': readonly [{ name: 'check'; required: true }, { name: 'part'; required: true }];
        'check.tagged': readonly [{ name: 'check'; required: true }, { name: 'part'; required: true }];
        'check.place': readonly [
            { name: 'check'; required: true },
            { name: 'part'; required: true },
            { name: 'frame'; required: true },
        ];
        find: readonly [];
        news: readonly [];
        understand: readonly [{ name: 'deliverable'; required: true }];
        'scene.try': readonly [{ name: 'deliverable'; required: true }];
        'house.understand': readonly [{ name: 'production'; required: true }];
        'plan.try': readonly [{ name: 'production'; required: true }];
        'shape.try': readonly [{ name: 'production'; required: true }];
        calculate: readonly [];
    }
}
