<?php

/* Las palabras habituales de cada carta. Lo que va entre llaves se pone al enviarla. */
return [
    'received' => [
        'title' => 'Inscripción recibida',
        'subject' => 'Ha llegado tu inscripción en {class}',
        'text' => implode("\n", [
            'Hola, {name}:',
            '',
            'Ha llegado tu inscripción en {class}. Alguien de {school} la compara con la lista; cuando esté '.
            'hecho recibirás una carta.',
            '',
            'Cómo va: {page}',
        ]),
    ],
    'accepted' => [
        'title' => 'Confirmación',
        'subject' => 'Tu inscripción en {class} está hecha',
        'text' => implode("\n", [
            'Hola, {name}:',
            '',
            'Tu inscripción en {class} está hecha. Este enlace es solo tuyo, y no deja entrar a nadie más:',
            '{link}',
            '',
            'Las próximas sesiones, en tu hora: {when}',
            '',
            'El horario entero va adjunto para tu calendario. Si el enlace no funciona, entra por '.
            'teléfono: {phone}.',
        ]),
    ],
    'declined' => [
        'title' => 'Rechazo',
        'subject' => 'Tu inscripción en {class} fue rechazada',
        'text' => implode("\n", [
            'Hola, {name}:',
            '',
            'Tu inscripción en {class} fue rechazada. Motivo: {reason}',
            '',
            'Si se puede arreglar, inscríbete otra vez: {page}',
        ]),
    ],
    'elsewhere' => [
        'title' => 'Enviada a otro grupo',
        'subject' => 'Tu inscripción es ahora para {class}',
        'text' => implode("\n", [
            'Hola, {name}:',
            '',
            'Estás en la lista de {class}, así que tu inscripción se ha enviado allí. No tienes que hacer nada.',
            '',
            'Cómo va: {page}',
        ]),
    ],
    'replaced' => [
        'title' => 'Enlace sustituido',
        'subject' => 'Tu nuevo enlace para {class}',
        'text' => implode("\n", [
            'Hola, {name}:',
            '',
            'Tu enlace para {class} se ha sustituido; el anterior ya no abre nada. Este es el nuevo, y es '.
            'solo tuyo:',
            '{link}',
            '',
            'Las próximas sesiones, en tu hora: {when}',
            '',
            'Si no funciona, entra por teléfono: {phone}.',
        ]),
    ],
    'guest' => [
        'title' => 'Invitación para alguien de fuera',
        'subject' => 'Tu invitación a {class}',
        'text' => implode("\n", [
            'Hola, {name}:',
            '',
            '{school} te invita a {class}: {when}',
            '',
            'Este pase es solo para ti, y vale hasta el {until}:',
            '{link}',
        ]),
    ],
    'guardian' => [
        'title' => 'Confirmación para la familia',
        'subject' => 'La inscripción de {child} en {class} está hecha',
        'text' => implode("\n", [
            'Hola, {name}:',
            '',
            'La inscripción de {child} en {class}, de {school}, está hecha. Las próximas sesiones, en la hora '.
            'de {child}: {when}',
            '',
            'El enlace es solo de {child} y no deja entrar a nadie más, así que no va aquí. El horario va '.
            'adjunto para tu calendario.',
        ]),
    ],
    'changed' => [
        'title' => 'Sesiones cambiadas',
        'subject' => 'Cambios: {class}',
        'text' => implode("\n", [
            'Hola, {name}:',
            '',
            'El horario de {class} ha cambiado:',
            '{change}',
            '',
            'Las próximas sesiones, en tu hora: {when}',
            '',
            'El horario tal como es ahora va adjunto para tu calendario.',
        ]),
    ],
    'cancelled' => [
        'title' => 'Serie cancelada',
        'subject' => 'No hay más sesiones: {class}',
        'text' => implode("\n", [
            'Hola, {name}:',
            '',
            '{title}, de {class}, en {school}, ya no tiene lugar. Lo que va adjunto quita de tu calendario '.
            'las sesiones que quedaban.',
        ]),
    ],
    'teacher' => [
        'title' => 'Enlace para quien da la clase',
        'subject' => 'Tu enlace para dar {class}',
        'text' => implode("\n", [
            'Hola, {name}:',
            '',
            'Das {class}. Con este enlace entras para dirigir la sesión, y nadie más lo hace:',
            '{link}',
            '',
            'Las próximas sesiones, en tu hora: {when}',
            '',
            'El horario entero va adjunto para tu calendario. Si el enlace no funciona, entra por '.
            'teléfono: {phone}.',
        ]),
    ],
    'invitation' => [
        'title' => 'Invitación para poner una contraseña',
        'subject' => 'Tu cuenta en {school}',
        'text' => implode("\n", [
            'Hola, {name}:',
            '',
            '{school} da sus clases en directo con Nomada. Con este enlace pones tu contraseña; funciona una '.
            'vez, y hasta el {until}:',
            '{link}',
            '',
            'Después entras como {sign_in}.',
        ]),
    ],
    'reset' => [
        'title' => 'Contraseña olvidada',
        'subject' => 'Una nueva contraseña para {school}',
        'text' => implode("\n", [
            'Hola, {name}:',
            '',
            'Alguien, seguramente tú, ha pedido una nueva contraseña. Con este enlace la pones; funciona una '.
            'vez, y hasta el {until}:',
            '{link}',
            '',
            'Entras como {sign_in}. Si no la has pedido, no tienes que hacer nada: tu contraseña sigue como '.
            'está.',
        ]),
    ],
    'not-here' => [
        'title' => 'Todavía no ha llegado',
        'subject' => '{child} no ha llegado a {class}',
        'text' => implode("\n", [
            'Hola, {name}:',
            '',
            '{child} no ha llegado a {class}, de {school}, que empezó el {when}. Quizá algo le impide entrar a '.
            '{child}; el centro ayuda.',
            '',
            '¿No puede asistir {child}? Dilo aquí, y contará como ausencia justificada: {page}',
        ]),
    ],
    'missed' => [
        'title' => 'Lo que se ha perdido',
        'subject' => 'Lo que {child} se ha perdido',
        'text' => implode("\n", [
            'Hola, {name}:',
            '',
            '{child} no estuvo en:',
            '{missed}',
            '',
            'La asistencia, y avisar antes de una ausencia: {page}',
        ]),
    ],
    'recording' => [
        'title' => 'Grabación para ver',
        'subject' => 'La grabación de {class}, {when}',
        'text' => implode("\n", [
            'Hola, {name}:',
            '',
            '{child} no estuvo en {class} el {when}. Se grabó, y ya se puede ver: {page}',
        ]),
    ],
    'reminder' => [
        'title' => 'Recordatorio',
        'subject' => 'Pronto: {sessions}',
        'text' => implode("\n", [
            'Hola, {name}:',
            '',
            'Pronto, en tu hora:',
            '{sessions}',
            '',
            'Tus enlaces, y cómo dejar de recibir estos recordatorios: {page}',
        ]),
    ],
    'parts' => [
        'no_phone' => 'no hay',
        'none_left' => 'no queda ninguna',
        'when' => ':sessions en :place',
        'recorded' => '. Se grabó; la grabación ya se puede ver.',
        'stop' => 'No quiero más cartas así',
    ],
];
