<?php

/* Las palabras habituales de cada carta. Lo que va entre llaves se pone al enviarla. */
return [
    'received' => [
        'title' => 'Inscripción recibida',
        'subject' => 'Hemos recibido tu inscripción en {class}',
        'text' => "Hola, {name}:\n\nHa llegado tu inscripción en {class}. {school} la está comparando con la lista de "
            ."clase y te enviará el resultado por correo.\n\nVer su estado: {page}",
    ],
    'accepted' => [
        'title' => 'Confirmación',
        'subject' => 'Tu inscripción en {class} está confirmada',
        'text' => "Hola, {name}:\n\nTu inscripción en {class} está confirmada. Este enlace es solo tuyo y no sirve "
            ."para nadie más:\n{link}\n\nLas próximas sesiones, en tu hora: {when}\n\nEl horario completo va adjunto "
            .'para tu calendario. Si el enlace no funciona, entra por teléfono: {phone}.',
    ],
    'declined' => [
        'title' => 'Inscripción rechazada',
        'subject' => 'Tu inscripción en {class} fue rechazada',
        'text' => "Hola, {name}:\n\nTu inscripción en {class} fue rechazada. Motivo: {reason}\n\nSi puedes "
            .'corregirlo, inscríbete otra vez: {page}',
    ],
    'elsewhere' => [
        'title' => 'Inscripción trasladada a otro grupo',
        'subject' => 'Tu inscripción es ahora para {class}',
        'text' => "Hola, {name}:\n\nEstás en la lista de {class}, así que tu inscripción se ha trasladado allí. No "
            ."tienes que hacer nada.\n\nVer su estado: {page}",
    ],
    'replaced' => [
        'title' => 'Enlace sustituido',
        'subject' => 'Tu nuevo enlace para {class}',
        'text' => "Hola, {name}:\n\nTu enlace para {class} se ha sustituido, y el anterior ya no funciona. Este es el "
            ."nuevo, y es solo tuyo:\n{link}\n\nLas próximas sesiones, en tu hora: {when}\n\nSi no funciona, entra por "
            .'teléfono: {phone}.',
    ],
    'guest' => [
        'title' => 'Invitación para alguien de fuera',
        'subject' => 'Tu invitación a {class}',
        'text' => "Hola, {name}:\n\n{school} te invita a {class}: {when}\n\nEste pase es solo para ti. Vale hasta el "
            ."{until}:\n{link}",
    ],
    'guardian' => [
        'title' => 'Confirmación para la familia',
        'subject' => 'La inscripción de {child} en {class} está confirmada',
        'text' => "Hola, {name}:\n\nLa inscripción de {child} en {class}, de {school}, está confirmada. Las próximas "
            ."sesiones, en la hora de {child}: {when}\n\nEl enlace se envía solo a {child}. El horario va adjunto para "
            .'tu calendario.',
    ],
    'changed' => [
        'title' => 'Sesiones cambiadas',
        'subject' => 'Cambios: {class}',
        'text' => "Hola, {name}:\n\nEl horario de {class} ha cambiado:\n{change}\n\nLas próximas sesiones, en tu "
            ."hora: {when}\n\nEl horario actualizado va adjunto para tu calendario.",
    ],
    'cancelled' => [
        'title' => 'Serie cancelada',
        'subject' => 'No hay más sesiones: {class}',
        'text' => "Hola, {name}:\n\n{school} ha cancelado las sesiones que quedaban de {title}, de {class}. Abre el "
            .'archivo adjunto para quitarlas de tu calendario.',
    ],
    'teacher' => [
        'title' => 'Enlace para quien da la clase',
        'subject' => 'Tu enlace para dar {class}',
        'text' => "Hola, {name}:\n\nDas {class}. Entra con este enlace para dirigir la sesión. Solo sirve para ti:\n"
            ."{link}\n\nLas próximas sesiones, en tu hora: {when}\n\nEl horario completo va adjunto para tu "
            .'calendario. Si el enlace no funciona, entra por teléfono: {phone}.',
    ],
    'invitation' => [
        'title' => 'Invitación para crear una contraseña',
        'subject' => 'Tu cuenta en {school}',
        'text' => "Hola, {name}:\n\n{school} da sus clases en directo con Nomada. Crea tu contraseña con este enlace. "
            ."Funciona una vez, hasta el {until}:\n{link}\n\nDespués entras como {sign_in}.",
    ],
    'reset' => [
        'title' => 'Restablecer la contraseña',
        'subject' => 'Una contraseña nueva para {school}',
        'text' => "Hola, {name}:\n\nAlguien, seguramente tú, ha pedido una contraseña nueva. Créala con este enlace, "
            ."que funciona una vez, hasta el {until}:\n{link}\n\nEntras como {sign_in}. Si no la has pedido, no hagas "
            .'caso de este correo: tu contraseña no cambia.',
    ],
    'not-here' => [
        'title' => 'Todavía no ha entrado',
        'subject' => '{child} no ha entrado en {class}',
        'text' => "Hola, {name}:\n\n{child} no ha entrado en {class}, que empezó el {when}. Si {child} no puede "
            ."entrar, ponte en contacto con {school}.\n\nSi {child} no puede asistir, comunica la falta aquí: {page}",
    ],
    'missed' => [
        'title' => 'Sesiones perdidas',
        'subject' => 'Lo que {child} se ha perdido',
        'text' => "Hola, {name}:\n\n{child} no estuvo en:\n{missed}\n\nConsultar la asistencia o comunicar una falta: "
            .'{page}',
    ],
    'recording' => [
        'title' => 'Grabación disponible',
        'subject' => 'La grabación de {class}, {when}',
        'text' => "Hola, {name}:\n\n{child} no estuvo en {class} el {when}. Puedes ver la grabación aquí: {page}",
    ],
    'reminder' => [
        'title' => 'Recordatorio',
        'subject' => 'Pronto: {sessions}',
        'text' => "Hola, {name}:\n\nPróximamente, en tu hora:\n{sessions}\n\nVer tus enlaces, o dejar de recibir "
            .'estos recordatorios: {page}',
    ],
    'parts' => [
        'no_phone' => 'no hay',
        'none_left' => 'no queda ninguna',
        'when' => ':sessions en :place',
        'recorded' => '. La grabación está disponible.',
        'stop' => 'No recibir más correos de estos',
    ],
];
