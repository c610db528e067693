package app.matsuri.server.account;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;

/** What one or several people share; nobody else sees anything of it. */
@Entity
@SuppressWarnings("NullAway.Init") // Hibernate fills it
public class Workspace {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    public Long id;

    public String name;

    /** Hosts whose pages may show the pages of its links in a frame, parted by spaces. */
    public String framedBy = "";
}
