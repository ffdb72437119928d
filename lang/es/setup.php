<?php

// Lo que falta hasta la primera clase de un centro nuevo.
return [
    'title' => 'Puesta en marcha',
    'sum' => 'Lo que falta hasta la primera clase',
    'hide' => 'Ocultar la lista',
    'hidden' => 'La lista está oculta. Está en el menú de tu nombre.',
    'states' => [
        'none' => 'sin empezar',
        'some' => ':done de :all',
        'simulated' => 'servicio de demostración',
        'done' => 'hecho',
    ],
    'steps' => [
        'calendar' => [
            'name' => 'Calendario escolar',
            'what' => 'Días no lectivos y periodos del día.',
            'do' => 'Configurar '.'el calendario',
        ],
        'people' => [
            'name' => 'Personas',
            'what' => 'Quien debe recibir correos tiene dirección de correo.',
            'do' => 'Ver '.'las personas',
        ],
        'timetable' => [
            'name' => 'Horario',
            'what' => 'Cada grupo tiene una serie de sesiones.',
            'do' => 'Ver los '.'grupos',
        ],
        'conference' => [
            'name' => 'Servicio de conferencias',
            'what' => 'Donde se dan las sesiones.',
            'do' => 'Conectar '.'el servicio',
        ],
        'mail' => [
            'name' => 'Servidor de correo',
            'what' => 'Los enlaces y los cambios se envían por correo.',
            'do' => 'Conectar '.'el servidor',
        ],
        'destinations' => [
            'name' => 'Página del curso, calendarios y tablones',
            'what' => 'Donde se publican las '.'sesiones.',
            'do' => 'Conectar los servicios',
        ],
        'links' => ['name' => 'Enlaces', 'what' => 'Cada serie tiene un enlace.', 'do' => 'Crear los enlaces'],
        'registrations' => [
            'name' => 'Inscripciones',
            'what' => 'Cada estudiante está inscrito en sus series.',
            'do' => 'Inscribir '.'a los estudiantes',
        ],
        'publishing' => [
            'name' => 'Publicación',
            'what' => 'Cada grupo con horario está publicado.',
            'do' => 'Publicar '.'los grupos',
        ],
        'invitations' => [
            'name' => 'Invitaciones',
            'what' => 'Todos pueden iniciar sesión.',
            'do' => 'Invitar a las '.'personas',
        ],
    ],
];
